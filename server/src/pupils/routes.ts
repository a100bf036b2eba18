import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { cleanText } from '@esfuerzo/core'
import { pupilRoom, readCode } from '@esfuerzo/core/classBook'
import { findClass } from '../classes/store.ts'
import type { Deletions } from '../deletions/deletions.ts'
import { networkOfRequest } from '../http/address.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import type { Limits } from '../http/limits.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import { resolveToken } from '../publications/resolveToken.ts'
import type { JobPool } from '../workers/jobPool.ts'
import { CodeTries } from './codeTries.ts'
import { pupilCsv, pupilFile, pupilJson } from './pupilFile.ts'
import { pupilKey } from './pupilCode.ts'
import {
  addPupils,
  countReached,
  deletePupil,
  findByCode,
  isRefusal,
  listPupils,
  removePupil,
  renewCode,
  restorePupil,
  savePupil,
  slipsOf,
  type PupilRefusal,
} from './store.ts'

/** Turns the store's refusal into an error. @param field which holds the aliases */
function refuse(refused: PupilRefusal, field: string): never {
  if (refused === 'no-class') throw new ServerError('not-found')
  if (refused === 'no-room') throw tooMany(field, { atMost: pupilRoom, of: 'pupils' })
  throw new ServerError('invalid', [
    { code: 'duplicate-id', path: [field], received: refused.taken, expected: { rule: 'aliasOnce' } },
  ])
}

export interface PupilParts {
  db: Knex
  deletions: Deletions
  jobPool: JobPool
  secret: string
}

/** The pupils of a class: the teacher's side. */
export function pupilRoutes(router: Router, { db, deletions, jobPool, secret }: PupilParts): void {
  const ofClass = async (teacherId: string, classId: string) => {
    const found = await findClass(db, teacherId, classId)
    if (!found) throw new ServerError('not-found')
    return { class: found, ...(await listPupils(db, teacherId, classId)) }
  }
  const clean = (alias: string) => cleanText(alias, 'line').trim().replace(/\s+/g, ' ')

  implement(router, 'readClass', ({ teacherId, params }) => ofClass(teacherId, params.id))

  implement(router, 'addPupils', async ({ teacherId, params, body }) => {
    const added = body.aliases.map((alias) => ({ id: randomUUID(), alias: clean(alias) }))
    const refused = await addPupils(db, teacherId, params.id, added, secret)
    if (refused) refuse(refused, 'aliases')
    return { pupils: (await listPupils(db, teacherId, params.id)).pupils }
  })

  implement(router, 'savePupil', async ({ teacherId, params, body }) => {
    const alias = body.alias === undefined ? {} : { alias: clean(body.alias) }
    const saved = await savePupil(db, teacherId, params.id, { ...body, ...alias })
    if (!saved) throw new ServerError('not-found')
    if (isRefusal(saved)) refuse(saved, 'alias')
    return saved
  })

  implement(router, 'renewCode', async ({ teacherId, params }) => {
    if (!(await renewCode(db, teacherId, params.id, secret))) throw new ServerError('not-found')
    await noteEvent(db, teacherId, 'code-renewed')
    return {}
  })

  implement(router, 'removePupil', async ({ teacherId, params: { id } }) => {
    if (!(await removePupil(db, teacherId, id))) throw new ServerError('not-found')
    await deletions.note({ what: 'pupil-removed', teacher: teacherId, id })
    return {}
  })

  implement(router, 'restorePupil', async ({ teacherId, params: { id } }) => {
    const back = await restorePupil(db, teacherId, id)
    if (!back) throw new ServerError('not-found')
    if (isRefusal(back)) refuse(back, 'alias')
    await deletions.note({ what: 'pupil-back', teacher: teacherId, id })
    return back
  })

  implement(router, 'deletePupil', async ({ teacherId, params: { id } }) => {
    if (!(await deletePupil(db, teacherId, id))) throw new ServerError('not-found')
    await deletions.note({ what: 'pupil', teacher: teacherId, id })
    await noteEvent(db, teacherId, 'pupil-deleted')
    return {}
  })

  implement(router, 'slips', async ({ teacherId, params, query, res }) => {
    const { pupils } = await ofClass(teacherId, params.id)
    const asked = query.pupils?.split(',')
    const codes = new Map((await slipsOf(db, teacherId, params.id, secret)).map(({ id, code }) => [id, code]))
    const slips = pupils
      .filter((p) => !asked || asked.includes(p.id))
      .map(({ id, alias }) => ({ alias, code: codes.get(id)! }))
    if (!slips.length) throw new ServerError('not-found')
    const pdf = await jobPool.run('slips', { slips, language: query.language, paper: query.paper }, teacherId)
    res.set({ 'Content-Disposition': 'inline; filename="slips.pdf"', 'Cache-Control': 'no-store' })
    res.type('application/pdf').send(Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength))
    return undefined
  })

  implement(router, 'exportPupil', async ({ teacherId, params, query, res }) => {
    const file = await pupilFile(db, teacherId, params.id)
    if (!file) throw new ServerError('not-found')
    if (query.as === 'csv') {
      // UTF-8 with its mark: without it, spreadsheets opened by a double click guess another encoding.
      res
        .attachment(`${file.alias}.csv`)
        .type('text/csv; charset=utf-8')
        .send(`\ufeff${pupilCsv(file)}`)
      return undefined
    }
    res.attachment(`${file.alias}.json`).type('application/json')
    await pipeline(Readable.from(pupilJson(db, teacherId, params.id, file)), res)
    return undefined
  })
}

/** The family's side: looking up a code. */
export function codeRoutes(router: Router, db: Knex, limits: Limits, secret: string): void {
  const tries = new CodeTries(db, limits)
  implement(router, 'giveCode', async ({ params, body, req, res }) => {
    const { teacherId, classId } = await resolveToken(db, params.token)
    const code = readCode(body.code)
    const pupils = await countReached(db, { teacherId, classId })
    const attempt = { teacherId, network: networkOfRequest(req), length: code?.length ?? 0, pupils }
    await tries.mustBeOpen(attempt)
    const found = code && (await findByCode(db, { teacherId, classId }, code, secret))
    if (!found) {
      // An invalid code gets an answer that tells nothing.
      if (code) await tries.wrong(attempt)
      throw new ServerError('not-found')
    }
    await tries.right(attempt, found.id)
    res.set('Cache-Control', 'no-store')
    return { alias: found.alias, key: pupilKey(found.id, found.slip, secret) }
  })
}
