import {
  longestMinutes,
  ProblemError,
  readDocument,
  sessionView,
  type Language,
  type Library,
  type Session,
} from '@esfuerzo/core'
import { pacedRun, type PacedRun } from '@esfuerzo/core/change'
import { publicationSchema, publish, type Publication } from '@esfuerzo/core/publication'
import { runDocument } from '@esfuerzo/core/run'
import { checkSession } from '@esfuerzo/core/checks'
import { bookColumns, laneOfClass, lanesOfClass, type BookColumn } from '@esfuerzo/core/classBook'
import type { RulePolicies } from '@esfuerzo/core'
import type { Paper, SheetKind } from '@esfuerzo/contract'
import { snapshotOf, type Snapshot } from '../snapshots/snapshot.ts'
import { lookSheet } from '../sheets/lookSheet.ts'
import { pdfOf, sheetPdf } from '../sheets/sheetPdf.ts'
import { slipSheet, type Slip } from '../sheets/slips.ts'
import { sheetWords } from '../sheets/words.ts'

/** A session as it lies in the database, and the line of the school's own. */
export interface Draft {
  document: Session
  schoolNote?: string
}

/** Which sheet of a session is asked for. */
export interface Sheet {
  kind: SheetKind
  /** Ids of lanes; all of them where left out. */
  lanes?: readonly string[]
  language: Language
  paper: Paper
}

/** What is worked out beside the event loop, and what comes back: each work by its name. */
export interface Jobs {
  /** What is sent home of a session. */
  snapshot: { asked: Draft; answer: Snapshot }
  /** A sheet of a session as it is now, as PDF. */
  draftSheet: { asked: { draft: Draft; sheet: Sheet }; answer: Uint8Array }
  /** What is worth a look in a session as it is now, for the teacher. */
  lookSheet: {
    asked: { document: Session; policies: RulePolicies; language: Language; paper: Paper }
    answer: Uint8Array
  }
  /** The class book's columns of what was sent home, for a class of such grades; none where no lane is theirs. */
  columns: { asked: { body: string; grades: number[] }; answer: BookColumn[] }
  /** What runs of what was sent home tell of their children's own pace; runs as the database has them, as text. */
  pace: {
    asked: { body: string; runs: { text: string; child: string; session: string; at: number }[] }
    answer: PacedRun[]
  }
  /** How many minutes sessions take for a class of such grades, for anybody where none are said; undefined of one that cannot be read. */
  minutes: { asked: { documents: Session[]; grades?: number[] }; answer: (number | undefined)[] }
  /** Codes of a class to cut out. */
  slips: { asked: { slips: Slip[]; language: Language; paper: Paper }; answer: Uint8Array }
  /** A sheet of what was sent home. */
  sentSheet: { asked: { body: string; sheet: Sheet }; answer: Uint8Array }
}
export type JobName = keyof Jobs

async function lanesPdf(publication: Publication, { lanes, ...sheet }: Sheet): Promise<Uint8Array> {
  const all = publication.lanes.map((l) => l.id)
  const known = lanes?.filter((id) => all.includes(id)) ?? all
  if (known.length === 0) {
    const received = lanes?.join(',')
    throw new ProblemError([{ code: 'unknown-group', path: ['query', 'lanes'], received, expected: { oneOf: all } }])
  }
  return sheetPdf(publication, { ...sheet, lanes: known })
}

function minutesOf(session: Session, library: Library, grades?: number[]): number | undefined {
  const own = new Set(lanesOfClass(session.groups, grades).map(({ id }) => id))
  try {
    const lanes = sessionView(session, library).filter(({ group }) => own.has(group.id))
    return longestMinutes(lanes.map((lane) => lane.totals.session.seconds))
  } catch (error) {
    if (error instanceof ProblemError) return undefined
    throw error
  }
}

/** How each is done, for a worker to run. */
export const jobs: { [N in JobName]: (asked: Jobs[N]['asked'], library: Library) => Promise<Jobs[N]['answer']> } = {
  snapshot: async ({ document, schoolNote }, library) => snapshotOf(document, library, schoolNote),
  draftSheet: ({ draft, sheet }, library) => lanesPdf(publish(draft.document, library, draft.schoolNote), sheet),
  lookSheet: async ({ document, policies, language, paper }, library) =>
    pdfOf(lookSheet(document, checkSession(document, library, { policies }), language, library), {
      title: document.title,
      language,
      paper,
    }),
  columns: async ({ body, grades }) => {
    const publication = publicationSchema.parse(JSON.parse(body))
    const lane = laneOfClass(publication.lanes, grades)
    return lane ? bookColumns(publication, lane, 'en') : []
  },
  pace: async ({ body, runs }) => {
    const { lanes } = JSON.parse(body) as Publication
    return runs.flatMap(({ text, ...facts }): PacedRun[] => {
      const run = readDocument(runDocument, JSON.parse(text))
      const lane = lanes.find((l) => l.id === run.group)
      const paced = lane && pacedRun(run, lane, facts)
      return paced ? [paced] : []
    })
  },
  minutes: async ({ documents, grades }, library) => documents.map((document) => minutesOf(document, library, grades)),
  slips: ({ slips, language, paper }) =>
    pdfOf(slipSheet(slips, language), { title: sheetWords[language].slip.title, language, paper }),
  sentSheet: ({ body, sheet }) => lanesPdf(publicationSchema.parse(JSON.parse(body)), sheet),
}
