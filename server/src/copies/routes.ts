import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { readTeacher } from '../accounts/store.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import type { Counter } from '../http/limits.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import { linkToken, tokenHash } from '../http/linkToken.ts'
import { letters } from '../mail/letters.ts'
import { sendNow } from '../mail/sendNow.ts'
import type { Post } from '../mail/post.ts'
import { sessions } from '../sessions/store.ts'
import { addCopy, copyRoom, findCopy, hasRoom, removeCopy } from './store.ts'

/** How long a copy's link works, in milliseconds: thirty days. */
const copyLife = 30 * 24 * 60 * 60 * 1000

export interface CopyParts {
  db: Knex
  secret: string
  post: Post
  /** Of messages that teachers write. */
  written: Counter
  /** Where links in messages lead. */
  pagesAt: string
}

/** Sending a colleague a copy of a session, which she may change. */
export function copyRoutes(router: Router, { db, secret, post, written, pagesAt }: CopyParts): void {
  implement(router, 'sendCopy', async ({ teacherId, params, body }) => {
    const session = await sessions.find(db, teacherId, params.id)
    if (!session) throw new ServerError('not-found')
    if (!(await hasRoom(db, teacherId))) throw tooMany('email', { atMost: copyRoom, of: 'copies' })
    if (body.email) {
      await written.count(teacherId)
      if (!(await post.ready())) throw new ServerError('mail-away')
    }
    const from = body.email && (await readTeacher(db, teacherId))
    const id = randomUUID()
    const token = linkToken('copy', id, secret)
    const endsAt = new Date(Date.now() + copyLife)
    await addCopy(db, { id, teacherId, tokenHash: tokenHash(token), document: session.document, endsAt })
    if (body.email && from)
      try {
        await sendNow(post, letters.copy(body.email, from, session.document.title, `${pagesAt}/copy/${token}`))
      } catch (error) {
        // A link that nobody received is deleted.
        await removeCopy(db, teacherId, id)
        throw error
      }
    await noteEvent(db, teacherId, 'copy-sent', session.id)
    return { token, endsAt: endsAt.toISOString() }
  })

  implement(router, 'readCopy', async ({ params }) => {
    const copy = await findCopy(db, tokenHash(params.token))
    if (!copy) throw new ServerError('not-found')
    if (copy.endsAt.getTime() <= Date.now()) throw new ServerError('ended')
    return { from: copy.from, endsAt: copy.endsAt.toISOString(), document: copy.document }
  })
}
