import type { Response, Router } from 'express'
import type { Knex } from 'knex'
import { longestMinutes } from '@esfuerzo/core'
import { lanesOfClass } from '@esfuerzo/core/classBook'
import { publicationSchema, type Lane, type Publication } from '@esfuerzo/core/publication'
import type { SheetKind, TeacherSheetKind } from '@esfuerzo/contract'
import { calendarFile } from '../calendar/calendarFile.ts'
import { implement, type Call } from '../http/implement.ts'
import { LocalCounter, type Counter, type Limits } from '../http/limits.ts'
import { linkToken } from '../http/linkToken.ts'
import { ServerError } from '../http/serverError.ts'
import type { Post } from '../mail/post.ts'
import { resolveToken } from '../publications/resolveToken.ts'
import { readOwnSnapshot, readSnapshot } from '../snapshots/store.ts'
import { readSettings } from '../settings/store.ts'
import type { PaperStore } from './paper.ts'
import type { Sheet } from '../workers/jobs.ts'
import { sessions } from '../sessions/store.ts'
import { writeFamilies } from './writeFamilies.ts'

const asked = (kind: SheetKind, { lanes, language, paper }: Call<'sheet'>['query']): Sheet => ({
  kind,
  language,
  paper,
  ...(lanes && { lanes: lanes.split(',') }),
})

function sendPdf(kind: TeacherSheetKind, pdf: Uint8Array, res: Response): void {
  res.set({ 'Content-Disposition': `inline; filename="${kind}.pdf"`, 'Cache-Control': 'no-store' })
  res.type('application/pdf').send(Buffer.from(pdf.buffer, pdf.byteOffset, pdf.byteLength))
}

export interface HandoutParts {
  db: Knex
  paper: PaperStore
  secret: string
  post: Post
  /** Of messages that teachers write. */
  written: Counter
  /** Where links lead. */
  pagesAt: string
}

/** A session as a printed sheet, a calendar entry or a message: the teacher's side. */
export function handoutRoutes(router: Router, { db, paper, secret, post, written, pagesAt }: HandoutParts): void {
  const linkOf = (id: string, at = pagesAt) => `${at}/go/${linkToken('publication', id, secret)}`

  /** What was sent home, and its lanes: a class's own, or all of them. */
  async function ownPublication(teacherId: string, id: string): Promise<{ publication: Publication; lanes: Lane[] }> {
    const found = await readOwnSnapshot(db, teacherId, id)
    if (!found) throw new ServerError('not-found')
    const publication = publicationSchema.parse(JSON.parse(found.body))
    return { publication, lanes: lanesOfClass(publication.lanes, found.grades ?? undefined) }
  }

  implement(router, 'sheet', async ({ teacherId, params, query, res }) => {
    const session = await sessions.find(db, teacherId, params.id)
    if (!session) throw new ServerError('not-found')
    const { familyNote, checks } = await readSettings(db, teacherId)
    const { document } = session
    const { kind } = params
    const pdf =
      kind === 'look'
        ? await paper.look(teacherId, { document, policies: checks, language: query.language, paper: query.paper })
        : await paper.draft(teacherId, { document, schoolNote: familyNote }, asked(kind, query))
    sendPdf(kind, pdf, res)
    return undefined
  })

  implement(router, 'calendar', async ({ teacherId, params, query, res }) => {
    const { publication, lanes } = await ownPublication(teacherId, params.id)
    const { zone } = await readSettings(db, teacherId)
    const link = linkOf(params.id)
    const minutes = longestMinutes(lanes.map((lane) => lane.seconds))
    const text = [publication.target, link].filter(Boolean).join('\n\n')
    const { title } = publication
    const events = query.days.map((day) => ({
      id: `${params.id}-${day}`,
      title,
      text,
      link,
      day,
      at: query.at,
      minutes,
    }))
    const file = calendarFile({ name: title, zone, stamp: new Date(), events })
    res.attachment('home-days.ics').type('text/calendar').send(file)
    return undefined
  })

  implement(router, 'messageFamilies', async ({ teacherId, params, body, req }) => {
    await ownPublication(teacherId, params.id)
    // As the page shows it: the page's own origin, which every write checks, may differ from the configured one.
    const links = [pagesAt, req.get('origin') ?? pagesAt].map((at) => linkOf(params.id, at))
    await writeFamilies({ db, post, written }, teacherId, body, links)
    return {}
  })
}

/** A sheet of what a link leads to, without signing in. */
export function familySheetRoutes(router: Router, db: Knex, limits: Limits, paper: PaperStore): void {
  const byLink = new LocalCounter(limits.sheets)
  implement(router, 'familySheet', async ({ params, query, res }) => {
    const { id, sha256 } = await resolveToken(db, params.token)
    const read = async () => {
      await byLink.count(id)
      return (await readSnapshot(db, sha256))!
    }
    sendPdf(params.kind, await paper.sent({ sha256, owner: id, read }, asked(params.kind, query)), res)
    return undefined
  })
}
