import type { Router } from 'express'
import type { Knex } from 'knex'
import type { PublicationInfo } from '@esfuerzo/contract'
import { keptUntil } from '@esfuerzo/core/classBook'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import type { Gone } from '../gone/gone.ts'
import { isOwnClass } from '../classes/store.ts'
import { readSettings } from '../settings/store.ts'
import { sessions } from '../sessions/store.ts'
import { resolveToken } from './resolveToken.ts'
import { publicationOf } from './publicationOf.ts'
import { snapshotCache } from '../snapshots/snapshotCache.ts'
import {
  addPublication,
  endPublication,
  findPublication,
  hasRoom,
  listPublications,
  type StoredPublication,
} from './store.ts'
import { readSnapshot } from '../snapshots/store.ts'
import { linkToken } from '../http/linkToken.ts'
import type { JobPool } from '../workers/jobPool.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'

/** Sending a session home and ending its link: the teacher's side. */
export function publicationRoutes(router: Router, db: Knex, pool: JobPool, secret: string): void {
  const info = (p: StoredPublication): PublicationInfo => ({ ...p, token: linkToken('publication', p.id, secret) })

  implement(router, 'publishSession', async ({ teacherId, params, body }) => {
    const session = await sessions.find(db, teacherId, params.id)
    if (!session) throw new ServerError('not-found')
    // What the teacher sees is sent, not what another tab saved meanwhile.
    if (session.revision !== body.revision) throw new ServerError('conflict')
    if (body.classId && !(await isOwnClass(db, teacherId, body.classId))) {
      throw new ServerError('invalid', [{ code: 'not-found', path: ['classId'], received: body.classId }])
    }
    if (!(await hasRoom(db, teacherId))) throw tooMany('days', { rule: 'roomForAnotherLink' })
    const { familyNote: schoolNote } = await readSettings(db, teacherId)
    const { document } = session
    const publication = publicationOf(
      { teacherId, sessionId: session.id, document, classId: body.classId },
      await pool.run('snapshot', { document, schoolNote }, teacherId),
      secret,
      new Date(),
      body.days,
    )
    await db.transaction(async (trx) => {
      await oneAtATime(trx, teacherId)
      if (!(await hasRoom(trx, teacherId))) throw tooMany('days', { rule: 'roomForAnotherLink' })
      // Another tab may have saved while it was made: the seen revision is sent, and the sent one is closed.
      if (!(await sessions.isAtRevision(trx, teacherId, session.id, body.revision))) throw new ServerError('conflict')
      await addPublication(trx, publication)
      await noteEvent(trx, teacherId, 'handed-out', session.id)
      await sessions.revisions.close(trx, teacherId, session.id, { reason: 'published' })
    })
    return info((await findPublication(db, teacherId, publication.id))!)
  })

  implement(router, 'listPublications', async ({ teacherId, params }) => ({
    publications: (await listPublications(db, teacherId, params.id)).map(info),
  }))

  implement(router, 'lastSent', async ({ teacherId, params }) => {
    if (!(await sessions.find(db, teacherId, params.id))) throw new ServerError('not-found')
    return { document: (await sessions.revisions.lastPublished(db, teacherId, params.id)) ?? null }
  })

  implement(router, 'endPublication', async ({ teacherId, params, body }) => {
    const misused = body.misused ?? false
    const sessionId = await endPublication(db, teacherId, params.id, misused)
    if (!sessionId) throw new ServerError('not-found')
    await noteEvent(db, teacherId, misused ? 'link-misused' : 'link-ended', sessionId)
    return info((await findPublication(db, teacherId, params.id))!)
  })
}

/** Following a link: the family's side, without a sign-in. */
export function linkRoutes(router: Router, db: Knex, gone: Gone): void {
  const snapshot = snapshotCache((sha256) => readSnapshot(db, sha256), gone)

  implement(router, 'resolveLink', async ({ params, res }) => {
    const { sha256, title, endsAt, grades, yearEnds, keepMonths, codes } = await resolveToken(db, params.token)
    res.set('Cache-Control', 'no-store')
    return {
      sha256,
      title,
      endsAt: endsAt.toISOString(),
      ...(grades && { grades }),
      codes,
      ...(yearEnds && { keptUntil: keptUntil({ yearEnds, keepMonths: keepMonths ?? 0 }) }),
    }
  })

  implement(router, 'snapshot', async ({ params, req, res }) => {
    const encoded = await snapshot(params.sha256)
    if (!encoded) throw new ServerError('not-found')
    res.set({
      'Cache-Control': 'public, max-age=31536000, immutable',
      ETag: `"${params.sha256}"`,
      Vary: 'Accept-Encoding',
    })
    if (req.fresh) {
      res.status(304).end()
      return undefined
    }
    // The smallest encoding the browser accepts: tried one by one, since browsers name gzip first without preferring it.
    const encoding = (['br', 'gzip'] as const).find((e) => req.acceptsEncodings(e))
    if (encoding) res.set('Content-Encoding', encoding)
    res.type('application/json').send(encoded[encoding ?? 'identity'])
    return undefined
  })
}
