import { createHmac, timingSafeEqual } from 'node:crypto'
import type { Router } from 'express'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import type { Outbox } from './outbox.ts'

/**
 * The key of the outbox: whoever reads the outbox could follow its links into any account, so being able to reach the server is not enough.
 * It is printed where the server is started, and nowhere else.
 */
export const outboxKey = (secret: string): string =>
  createHmac('sha256', secret).update('outbox').digest().subarray(0, 9).toString('base64url')

/** Reading the outbox: in the demo only, with its key. @param outbox undefined without a demo */
export function outboxRoutes(router: Router, outbox: Outbox | undefined, secret: string): void {
  const right = Buffer.from(outboxKey(secret))
  /** @throws {ServerError} `not-found` without the demo or the key */
  function opened(key: string): Outbox {
    const given = Buffer.from(key)
    if (!outbox || given.length !== right.length || !timingSafeEqual(given, right)) throw new ServerError('not-found')
    return outbox
  }

  implement(router, 'listOutbox', async ({ query }) => ({ messages: await opened(query.key).list() }))

  implement(router, 'readMessage', async ({ params, query, res }) => {
    const message = await opened(query.key).read(params.file)
    if (!message) throw new ServerError('not-found')
    res.attachment(params.file).type('message/rfc822').send(message)
    return undefined
  })
}
