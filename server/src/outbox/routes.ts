import type { Router } from 'express'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import type { Outbox } from './outbox.ts'

/** Looking into the outbox: in the demo only, since whoever reads it could follow its links. */
export function outboxRoutes(router: Router, outbox: Outbox, demo: boolean): void {
  implement(router, 'listOutbox', async () => {
    if (!demo) throw new ServerError('not-found')
    return { messages: await outbox.list() }
  })

  implement(router, 'readMessage', async ({ params, res }) => {
    const message = demo ? await outbox.read(params.file) : undefined
    if (!message) throw new ServerError('not-found')
    res.attachment(params.file).type('message/rfc822').send(message)
    return undefined
  })
}
