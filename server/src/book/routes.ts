import type { Router } from 'express'
import type { Knex } from 'knex'
import { LRUCache } from 'lru-cache'
import type { RefusedCell, SchoolClass, WrittenCell } from '@esfuerzo/contract'
import { bookCells, impossible, placeKey, type BookColumn, type BookEntry } from '@esfuerzo/core/classBook'
import { findClass } from '../classes/store.ts'
import { implement } from '../http/implement.ts'
import { ServerError } from '../http/serverError.ts'
import { wholeOutline } from '../snapshots/outline.ts'
import { readSnapshot } from '../snapshots/store.ts'
import { isOwn } from '../rights/rights.ts'
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
} from './store.ts'

/** The class book: sessions sent to a class, and their results. */
export function bookRoutes(router: Router, db: Knex, pool: JobPool): void {
  // A snapshot never changes; saving a cell must not read all of it.
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
    const found = await findClass(db, teacherId, id)
    const sent = found && (await sentTo(db, teacherId, id, publication))
    if (!sent) throw new ServerError('not-found')
    return { of: found, ...sent, columns: await columnsOf(teacherId, sent.sha256, found.grades) }
  }

  implement(router, 'listSentSessions', async ({ teacherId, params }) => {
    const found = await findClass(db, teacherId, params.id)
    if (!found) throw new ServerError('not-found')
    return { sessions: await listSent(db, teacherId, found) }
  })

  implement(router, 'readTests', async ({ teacherId, params }) => {
    const found = await findClass(db, teacherId, params.id)
    if (!found) throw new ServerError('not-found')
    return { tests: await readTests(db, teacherId, found.id) }
  })

  implement(router, 'readBook', async ({ teacherId, params }) => {
    const { of: schoolClass, sha256, outline, columns } = await asked(teacherId, params)
    const [entries, earlier, loose] = await Promise.all([
      readEntries(db, teacherId, schoolClass.id, params.publication),
      readEarlier(db, teacherId, schoolClass.id, params.publication),
      looseRuns(db, teacherId, params.publication, await wholeOutline(db, sha256, outline), schoolClass.grades),
    ])
    return { columns, entries, earlier, loose }
  })

  implement(router, 'writeBook', async ({ teacherId, params, body: { cells } }) => {
    const { of: schoolClass, columns } = await asked(teacherId, params)
    return db.transaction((trx) =>
      write(trx, { teacherId, of: schoolClass, publicationId: params.publication, columns, cells }),
    )
  })
}

interface Writing {
  teacherId: string
  of: SchoolClass
  publicationId: string
  columns: readonly BookColumn[]
  cells: readonly WrittenCell[]
}

/**
 * Writes every cell that can be written. A cell that has changed since it was read is returned with its current value; one that cannot be
 * written is returned with the reason.
 */
async function write(trx: Knex.Transaction, { teacherId, of: schoolClass, publicationId, columns, cells }: Writing) {
  // Only one request at a time writes in a class, until the end of the transaction.
  if (!(await isOwn(trx, teacherId, 'classes', schoolClass.id, 'lock'))) throw new ServerError('not-found')
  const there: Standing = {
    byKey: new Map(columns.map((column) => [column.key, column])),
    pupils: await pupilsIn(trx, teacherId, schoolClass.id),
    cells: bookCells(columns, await readEntries(trx, teacherId, schoolClass.id, publicationId)),
    stored: await storedAlready(
      trx,
      teacherId,
      { classId: schoolClass.id, publicationId },
      cells.map((cell) => cell.id),
    ),
  }
  const { entries, standing, differing, refused } = sorted(cells, there)
  const added = await addEntries(trx, { teacherId, classId: schoolClass.id, publicationId }, entries)
  const stored = new Set(added.map((entry) => entry.id))
  for (const { id } of entries) if (!stored.has(id)) refused.push({ id, why: 'id-taken' })
  // A page of the previous release does not know refusals, but it keeps a cell that is reported as changed.
  const forOlder = refused.map(({ id }) => ({ id, now: null }))
  return { written: [...added, ...standing], differing: [...differing, ...forOlder], refused }
}

/** The state of a class's book before cells are written. */
interface Standing {
  byKey: ReadonlyMap<string, BookColumn>
  pupils: ReadonlySet<string>
  cells: ReturnType<typeof bookCells>
  /** Ids of values that are stored already. */
  stored: ReadonlySet<string>
}

/** The outcome for each cell: to be written, stored already, written by somebody else meanwhile, or never possible. */
function sorted(cells: readonly WrittenCell[], there: Standing) {
  const entries: NewEntry[] = []
  const standing: BookEntry[] = []
  const differing: { id: string; now: BookEntry | null }[] = []
  const refused: RefusedCell[] = []
  const places = new Set<string>()
  const ids = new Set<string>()
  for (const cell of cells) {
    const { id, pupil, value, source } = cell
    const key = placeKey(cell)
    const column = there.byKey.get(key)
    const now = there.cells.get(pupil)?.get(key)?.entry
    const why = cellRefusal(cell, column, there.pupils)
    const place = `${pupil} ${key}`
    if (why || !column) refused.push({ id, why: why ?? 'no-column' })
    else if (there.stored.has(id) || isSame(now, value)) standing.push(...(now ? [now] : []))
    else if (places.has(place)) refused.push({ id, why: 'twice' })
    else if (ids.has(id)) refused.push({ id, why: 'id-taken' })
    else if ((now?.id ?? null) !== cell.was) differing.push({ id, now: now ?? null })
    else entries.push(newEntry(column, { id, pupil, value, source, replaces: replaces(column, now) }))
    places.add(place)
    ids.add(id)
  }
  return { entries, standing, differing, refused }
}

const isSame = (now: BookEntry | undefined, value: number | null): boolean =>
  now ? now.value === value : value === null

/** Why a cell can never be written this way. */
function cellRefusal(
  cell: WrittenCell,
  column: BookColumn | undefined,
  pupils: ReadonlySet<string>,
): RefusedCell['why'] | undefined {
  if (!pupils.has(cell.pupil)) return 'no-pupil'
  if (!column) return 'no-column'
  return cell.value !== null && impossible(cell.value, column) ? 'impossible' : undefined
}

/** Weight and level come from other rows, which stay. */
const replaces = (column: BookColumn, now: BookEntry | undefined): string | null =>
  now && placeKey(now) === column.key && (column.kind !== 'level' || now.source !== 'run') ? now.id : null
