import type { Knex } from 'knex'
import { readDocument } from '@esfuerzo/core'
import { byAlias } from '@esfuerzo/core/classBook'
import { runDocument, type ResultKind, type Run } from '@esfuerzo/core/run'
import { csvLines } from '../tables/csv.ts'
import { inBatches, storedSize } from '../tables/inBatches.ts'
import { findPupil } from './store.ts'
import { owned, ownedBy } from '../rights/rights.ts'

/** A value as it appears in a file. */
interface FileResult {
  session: string
  at: string
  what: ResultKind
  name: string
  lap: number | null
  trial: number | null
  value: number
  unit: string
  seconds: number | null
  kg: number | null
  from: 'run' | 'typed' | 'imported'
}

/** What is kept of one pupil, without runs. */
export interface PupilFile {
  alias: string
  /** The teacher's note. */
  note: string
  results: FileResult[]
}

interface Row extends Omit<FileResult, 'at' | 'from' | 'session'> {
  session: string | null
  at: Date
  source: FileResult['from']
}

const told = ['r.at', 'r.what', 'r.name', 'r.lap', 'r.trial', 'r.value', 'r.unit', 'r.seconds', 'r.kg', 'r.source']

/** Current values of one of a teacher's pupils, in the order they were done. */
async function standing(db: Knex, teacherId: string, pupilId: string): Promise<Row[]> {
  const rows: Row[] = await db('results as r')
    .join('pupils as u', 'u.id', 'r.pupil_id')
    .leftJoin('publications as p', 'p.id', 'r.publication_id')
    .modify(ownedBy(teacherId, 'pupils', 'u'))
    .where({ 'r.replaced_by': null, 'u.id': pupilId })
    .whereNotNull('r.value')
    .select('p.title as session', ...told)
    .orderBy(['r.at', 'r.block', 'r.station', 'r.lap', 'r.trial', 'r.what', 'r.id'])
  return rows
}

const resultOf = ({ session, at, what, name, lap, trial, value, unit, seconds, kg, source }: Row): FileResult => ({
  session: session ?? '',
  at: at.toISOString(),
  what,
  name,
  lap,
  trial,
  value,
  unit,
  seconds,
  kg,
  from: source,
})

/** All data of a pupil; undefined if it is not hers. */
export async function pupilFile(db: Knex, teacherId: string, id: string): Promise<PupilFile | undefined> {
  const pupil = await findPupil(db, teacherId, id)
  if (!pupil) return undefined
  const rows = await standing(db, teacherId, id)
  return { alias: pupil.alias, note: pupil.note, results: rows.map(resultOf) }
}

/** Number of runs read at a time; fewer large ones. */
const runBatch = 20

/** What a pupil's devices sent, unchanged, in the order it was done. */
async function* runsOf(db: Knex, teacherId: string, id: string): AsyncGenerator<Run> {
  const runs = () => owned(db, teacherId, 'runs').where({ pupil_id: id })
  // As text: see the export's.
  const read = (ids: string[]) => runs().whereIn('id', ids).select('id', db.raw('document::text as text'))
  const all: { id: string; size: number }[] = await runs()
    .select('id', db.raw(storedSize('document')))
    .orderBy(['finished_at', 'id'])
  for await (const { text } of inBatches<{ id: string; text: string }>(all, read, runBatch))
    yield readDocument(runDocument, JSON.parse(text))
}

/** All data of a pupil as one JSON document, piece by piece: whatever its size, nobody else waits. */
export async function* pupilJson(db: Knex, teacherId: string, id: string, file: PupilFile): AsyncGenerator<string> {
  yield `${JSON.stringify(file, null, 1).slice(0, -2)},\n "runs": [`
  let isFirst = true
  for await (const run of runsOf(db, teacherId, id)) {
    yield `${isFirst ? '' : ','}\n${JSON.stringify(run)}`
    isFirst = false
  }
  yield '\n ]\n}\n'
}

const fields = ['session', 'at', 'what', 'name', 'lap', 'trial', 'value', 'unit', 'seconds', 'kg', 'from'] as const

/** A pupil's values as a table, one line each, in the order they were done. */
export const pupilCsv = ({ alias, note, results }: PupilFile): string =>
  csvLines(
    ['alias', ...fields, 'note'],
    (results.length ? results : [{}]).map((r, i) => ({ alias, ...r, note: i === 0 ? note : '' })),
  )

export const bookColumns = ['class', 'alias', ...fields]

/** The values of all of a teacher's pupils, by class and alias: one pupil's lines at a time, in the order they were done. */
export async function* bookLines(db: Knex, teacherId: string): AsyncGenerator<object[]> {
  const pupils: { id: string; alias: string; class: string }[] = await db('pupils as u')
    .join('classes as c', 'c.id', 'u.class_id')
    .modify(ownedBy(teacherId, 'pupils', 'u'))
    .select('u.id', 'u.alias', 'c.name as class')
  const inOrder = pupils.sort((a, b) => byAlias(a.class, b.class) || byAlias(a.alias, b.alias))
  for (const { id, alias, class: className } of inOrder)
    yield (await standing(db, teacherId, id)).map((row) => ({ class: className, alias, ...resultOf(row) }))
}

/** A teacher's classes with their pupils, for her export. */
export async function allClasses(
  db: Knex,
  teacherId: string,
): Promise<
  { name: string; grades: number[]; yearEnds: string; keepMonths: number; pupils: { alias: string; note: string }[] }[]
> {
  const classes: { id: string; name: string; grades: number[]; ends: string; keep_months: number }[] = await owned(
    db,
    teacherId,
    'classes',
  )
    .select('id', 'name', 'grades', 'keep_months', db.raw('year_ends::text as ends'))
    .orderBy(['created_at', 'id'])
  const pupils: { class_id: string; alias: string; note: string }[] = await owned(db, teacherId, 'pupils').select(
    'class_id',
    'alias',
    'note',
  )
  const inOrder = pupils.sort((a, b) => byAlias(a.alias, b.alias))
  return classes.map(({ id, name, grades, ends, keep_months }) => ({
    name,
    grades,
    yearEnds: ends,
    keepMonths: keep_months,
    pupils: inOrder.filter((p) => p.class_id === id).map(({ alias, note }) => ({ alias, note })),
  }))
}
