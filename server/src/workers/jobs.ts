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

/** A stored session, and the school's own line. */
export interface Draft {
  document: Session
  schoolNote?: string
}

/** Which sheet of a session is wanted. */
export interface Sheet {
  kind: SheetKind
  /** Ids of lanes; all by default. */
  lanes?: readonly string[]
  language: Language
  paper: Paper
}

/** Jobs outside the event loop with their results, by name. */
export interface Jobs {
  /** The snapshot of a session. */
  snapshot: { asked: Draft; answer: Snapshot }
  /** A sheet of the current session as PDF. */
  draftSheet: { asked: { draft: Draft; sheet: Sheet }; answer: Uint8Array }
  /** The checks of the current session, for the teacher. */
  lookSheet: {
    asked: { document: Session; policies: RulePolicies; language: Language; paper: Paper }
    answer: Uint8Array
  }
  /** The class book's columns of what was sent home, for a class's grades; none if no lane fits. */
  columns: { asked: { body: string; grades: number[] }; answer: BookColumn[] }
  /** What runs of a publication tell about their children's own pace; runs as stored text. */
  pace: {
    asked: { body: string; runs: { text: string; child: string; session: string; at: number }[] }
    answer: PacedRun[]
  }
  /** How many minutes sessions take for a class's grades, or for anybody; undefined for an unreadable one. */
  minutes: { asked: { documents: Session[]; grades?: number[] }; answer: (number | undefined)[] }
  /** Codes of a class to cut out. */
  slips: { asked: { slips: Slip[]; language: Language; paper: Paper }; answer: Uint8Array }
  /** A sheet of a publication. */
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

/** How each job is done, for a worker to run. */
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
