import type { Response, Router } from 'express'
import type { Knex } from 'knex'
import { publicationSchema, publish, type Library, type Publication } from '@esfuerzo/core'
import type { SheetKind } from '@esfuerzo/contract'
import { implement, type Call } from '../http/implement.ts'
import { Counter, type Limits } from '../http/limits.ts'
import { linkToken } from '../http/linkToken.ts'
import { ServerError } from '../http/serverError.ts'
import { letters } from '../outbox/letters.ts'
import type { Outbox } from '../outbox/outbox.ts'
import { resolveToken } from '../publications/resolveToken.ts'
import { readOwnSnapshot, readSnapshot } from '../publications/store.ts'
import { readSettings } from '../settings/store.ts'
import { sheetPdf } from '../sheets/sheetPdf.ts'
import { readTeacher } from '../accounts/store.ts'
import { findWorkout } from '../workouts/store.ts'
import { calendarFile } from './calendarFile.ts'

async function sendSheet(
  publication: Publication,
  kind: SheetKind,
  { lanes, language, paper }: Call<'sheet'>['query'],
  res: Response,
): Promise<void> {
  const wanted = lanes?.split(',') ?? publication.lanes.map((l) => l.id)
  const known = wanted.filter((id) => publication.lanes.some((l) => l.id === id))
  if (known.length === 0) {
    const expected = publication.lanes.map((l) => l.id).join(', ')
    throw new ServerError('invalid', [{ code: 'unknown-group', path: ['query', 'lanes'], received: lanes, expected }])
  }
  const pdf = await sheetPdf(publication, { kind, lanes: known, language, paper })
  res.set('Content-Disposition', `inline; filename="${kind}.pdf"`).type('application/pdf').send(pdf)
}

export interface HandoutParts {
  db: Knex
  library: Library
  secret: string
  limits: Limits
  outbox: Outbox
  /** Where links lead. */
  pagesAt: string
}

/** A session on paper, in a calendar, in a message: the teacher's side. */
export function handoutRoutes(router: Router, { db, library, secret, limits, outbox, pagesAt }: HandoutParts): void {
  const mails = new Counter(db, 'mail-families', { ...limits.mail, points: limits.mail.points * 4 })
  const linkOf = (id: string) => `${pagesAt}/go/${linkToken('publication', id, secret)}`

  async function ownPublication(teacherId: string, id: string): Promise<Publication> {
    const body = await readOwnSnapshot(db, teacherId, id)
    if (!body) throw new ServerError('not-found')
    return publicationSchema.parse(JSON.parse(body))
  }

  implement(router, 'sheet', async ({ teacherId, params, query, res }) => {
    const workout = await findWorkout(db, teacherId, params.id)
    if (!workout) throw new ServerError('not-found')
    const { familyNote } = await readSettings(db, teacherId)
    await sendSheet(publish(workout.document, library, familyNote), params.kind, query, res)
    return undefined
  })

  implement(router, 'calendar', async ({ teacherId, params, query, res }) => {
    const publication = await ownPublication(teacherId, params.id)
    const { zone } = await readSettings(db, teacherId)
    const link = linkOf(params.id)
    const minutes = Math.ceil(Math.max(...publication.lanes.map((l) => l.seconds.typical)) / 60)
    const text = [publication.target, link].filter(Boolean).join('\n\n')
    const { title } = publication
    const file = calendarFile(
      { publicationId: params.id, title, text, link, days: query.days, at: query.at, zone, minutes },
      new Date(),
    )
    res.attachment('home-days.ics').type('text/calendar').send(file)
    return undefined
  })

  implement(router, 'messageFamilies', async ({ teacherId, params, body }) => {
    await ownPublication(teacherId, params.id)
    await mails.count(teacherId)
    const teacher = await readTeacher(db, teacherId)
    await outbox.send(letters.families(body.to, teacher?.name ?? '', body.subject, body.text))
    return {}
  })
}

/** A sheet of what a link leads to, without a sign-in. */
export function familySheetRoutes(router: Router, db: Knex, limits: Limits): void {
  const byLink = new Counter(db, 'sheets', limits.runs)
  implement(router, 'familySheet', async ({ params, query, res }) => {
    const target = await resolveToken(db, params.token)
    await byLink.count(target.id)
    const body = (await readSnapshot(db, target.sha256))!
    await sendSheet(publicationSchema.parse(JSON.parse(body)), params.kind, query, res)
    return undefined
  })
}
