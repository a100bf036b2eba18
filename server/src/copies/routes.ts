import type { Router } from 'express'
import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { v4 as uuid } from 'uuid'
import { readTeacher } from '../accounts/store.ts'
import { implement } from '../http/implement.ts'
import { Counter, type Limits } from '../http/limits.ts'
import { ServerError } from '../http/serverError.ts'
import { linkToken, tokenHash } from '../http/linkToken.ts'
import { letters } from '../outbox/letters.ts'
import type { Outbox } from '../outbox/outbox.ts'
import { findWorkout } from '../workouts/store.ts'
import { addCopy, findCopy } from './store.ts'

/** How long a copy's link works, in milliseconds: thirty days. */
const copyLife = 30 * 24 * 60 * 60 * 1000

export interface CopyParts {
  db: Knex
  secret: string
  limits: Limits
  outbox: Outbox
  log: Logger
  /** Where links in messages lead. */
  pagesAt: string
}

/** Sending a colleague a copy of a session: hers to change from then on. */
export function copyRoutes(router: Router, { db, secret, limits, outbox, log, pagesAt }: CopyParts): void {
  const mails = new Counter(db, 'mail-copy', { ...limits.mail, points: limits.mail.points * 4 })

  implement(router, 'sendCopy', async ({ teacherId, params, body }) => {
    const workout = await findWorkout(db, teacherId, params.id)
    if (!workout) throw new ServerError('not-found')
    if (body.email) await mails.count(teacherId)
    const id = uuid()
    const token = linkToken('copy', id, secret)
    const endsAt = new Date(Date.now() + copyLife)
    await addCopy(db, { id, teacherId, tokenHash: tokenHash(token), document: workout.document, endsAt })
    if (body.email) {
      const from = (await readTeacher(db, teacherId))?.name ?? ''
      await outbox
        .send(letters.copy(body.email, from, workout.document.title, `${pagesAt}/copy/${token}`))
        .catch((err) => log.error({ err }, 'a message could not be sent'))
    }
    return { token, endsAt: endsAt.toISOString() }
  })

  implement(router, 'readCopy', async ({ params }) => {
    const copy = await findCopy(db, tokenHash(params.token))
    if (!copy) throw new ServerError('not-found')
    if (copy.endsAt.getTime() <= Date.now()) throw new ServerError('ended')
    return { from: copy.from, endsAt: copy.endsAt.toISOString(), document: copy.document }
  })
}
