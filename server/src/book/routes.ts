import type { Router } from 'express'
import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import type { Problem } from '@esfuerzo/core'
import type { SchoolClass, WrittenCell } from '@esfuerzo/contract'
import { bookCells, impossible, placeKey, type BookColumn, type BookEntry } from '@esfuerzo/core/classBook'
import { findClass } from '../classes/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import { wholeOutline } from '../publications/outline.ts'
import { readSnapshot } from '../publications/store.ts'
import type { JobPool } from '../workers/jobPool.ts'
import { newEntry, type NewEntry } from './newEntry.ts'
import {
  addEntries,
  listSent,
  looseRuns,
  pupilsIn,
  readEarlier,
  readEntries,
  readTests,
  sentTo,
  storedAlready,
  writeAlone,
} from './store.ts'

/** The class book: what was sent home to a class, and what it did. */
export function bookRoutes(router: Router, db: Knex, pool: JobPool): void {
  // What was sent home never changes, and saving a cell is not to read it whole.
  const known = new LRUCache<string, BookColumn[]>({ max: 500 })
  async function columnsOf(teacherId: string, sha256: string, grades: readonly number[]): Promise<BookColumn[]> {
    const key = `${sha256} ${grades.join()}`
    const found = known.get(key)
    if (found) return found
    const body = await readSnapshot(db, sha256)
    const columns = await pool.run('columns', { body: body!, grades: [...grades] }, teacherId)
    known.set(key, columns)
    return columns
  }
  async function asked(teacherId: string, { id, publication }: { id: string; publication: string }) {
    const of = await findClass(db, teacherId, id)
    const sent = of && (await sentTo(db, teacherId, id, publication))
    if (!sent) throw new ServerError('not-found')
    return { of, ...sent, columns: await columnsOf(teacherId, sent.sha256, of.grades) }
  }

  implement(router, 'listSentSessions', async ({ teacherId, params }) => {
    const of = await findClass(db, teacherId, params.id)
    if (!of) throw new ServerError('not-found')
    return { sessions: await listSent(db, teacherId, of) }
  })

  implement(router, 'readTests', async ({ teacherId, params }) => {
    const of = await findClass(db, teacherId, params.id)
    if (!of) throw new ServerError('not-found')
    return { tests: await readTests(db, of.id) }
  })

  implement(router, 'readBook', async ({ teacherId, params }) => {
    const { of, sha256, outline, columns } = await asked(teacherId, params)
    const [entries, earlier, loose] = await Promise.all([
      readEntries(db, of.id, params.publication),
      readEarlier(db, of.id, params.publication),
      looseRuns(db, params.publication, await wholeOutline(db, sha256, outline), of.grades),
    ])
    return { columns, entries, earlier, loose }
  })

  implement(router, 'writeBook', async ({ teacherId, params, body: { cells } }) => {
    const { of, columns } = await asked(teacherId, params)
    return db.transaction((trx) => write(trx, { teacherId, of, publicationId: params.publication, columns, cells }))
  })
}

interface Writing {
  teacherId: string
  of: SchoolClass
  publicationId: string
  columns: readonly BookColumn[]
  cells: readonly WrittenCell[]
}

/** Writes cells that stand as they were seen; the others come back as they are. */
async function write(trx: Knex.Transaction, { teacherId, of, publicationId, columns, cells }: Writing) {
  await writeAlone(trx, of.id)
  const problems = cellProblems(cells, columns, await pupilsIn(trx, of.id))
  if (problems.length) throw new ServerError('invalid', problems)
  const byKey = new Map(columns.map((column) => [column.key, column]))
  const standing = bookCells(columns, await readEntries(trx, of.id, publicationId))
  const before = await storedAlready(
    trx,
    cells.map((cell) => cell.id),
  )
  const differing: { id: string; now: BookEntry | null }[] = []
  const entries: NewEntry[] = []
  const there: BookEntry[] = []
  for (const cell of cells) {
    const key = placeKey(cell)
    const now = standing.get(cell.pupil)?.get(key)?.entry
    const same = now?.value === cell.value || (!now && cell.value === null)
    if (before.has(cell.id) || same) there.push(...(now ? [now] : []))
    else if ((now?.id ?? null) !== cell.was) differing.push({ id: cell.id, now: now ?? null })
    else {
      const column = byKey.get(key)!
      const { id, pupil, value, source } = cell
      entries.push(newEntry(column, { id, pupil, value, source, replaces: replaces(column, now) }))
    }
  }
  const added = await addEntries(trx, { teacherId, classId: of.id, publicationId }, entries)
  return { written: [...added, ...there], differing }
}

/** What is wrong with cells before anything is written. */
function cellProblems(
  cells: readonly WrittenCell[],
  columns: readonly BookColumn[],
  pupils: ReadonlySet<string>,
): Problem[] {
  const byKey = new Map(columns.map((column) => [column.key, column]))
  return cells.flatMap((cell, i): Problem[] => {
    const column = byKey.get(placeKey(cell))
    if (!pupils.has(cell.pupil)) return [{ code: 'not-found', path: ['cells', i, 'pupil'], received: cell.pupil }]
    if (!column) return [{ code: 'invalid', path: ['cells', i], expected: { rule: 'columnOfTheSession' } }]
    const wrong = cell.value === null ? undefined : impossible(cell.value, column)
    if (!wrong) return []
    const path = ['cells', i, 'value']
    const received = String(cell.value)
    if (wrong.code === 'too-small') return [{ code: wrong.code, path, received, expected: { atLeast: wrong.atLeast } }]
    if (wrong.code === 'too-large') return [{ code: wrong.code, path, received, expected: { atMost: wrong.atMost } }]
    return [{ code: 'wrong-type', path, received, expected: { type: wrong.code === 'not-whole' ? 'int' : 'number' } }]
  })
}

/** A weight and a level are told from other rows, which stay. */
const replaces = (column: BookColumn, now: BookEntry | undefined): string | null =>
  now && placeKey(now) === column.key && (column.kind !== 'level' || now.source !== 'run') ? now.id : null
