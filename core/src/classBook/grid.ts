import { placeKey, type BookColumn, type BookPlace } from './column.ts'
import { per30 } from './value.ts'

/** A value of the class book and its source; null if it was removed: missing, not zero. */
export interface BookEntry extends BookPlace {
  id: string
  pupil: string
  value: number | null
  /** When it was done, or typed. */
  at: string
  source: 'run' | 'typed' | 'imported'
  /** For values that came with a run. */
  run?: string | undefined
  /** Seconds of timed work it was done in. */
  seconds?: number | undefined
  kg?: number | undefined
  clean?: 'yes' | 'no' | undefined
}

/** A cell: its latest value, and the child's earlier ones, oldest first. */
export interface BookCell {
  entry: BookEntry
  before: BookEntry[]
}

/** The cells of a class: by pupil, then by the column's key. */
export type BookCells = ReadonlyMap<string, ReadonlyMap<string, BookCell>>

/** Times are all in the same format, so their text sorts correctly. */
const inTime = (a: BookEntry, b: BookEntry) => (a.at === b.at ? (a.id < b.id ? -1 : 1) : a.at < b.at ? -1 : 1)

/** Entries by whose they are. */
export function byPupil(entries: readonly BookEntry[]): Map<string, BookEntry[]> {
  const found = new Map<string, BookEntry[]>()
  for (const entry of entries) {
    const there = found.get(entry.pupil)
    if (there) there.push(entry)
    else found.set(entry.pupil, [entry])
  }
  return found
}

/** A child's entries by place. */
type ByPlace = ReadonlyMap<string, readonly BookEntry[]>

function byPlace(entries: readonly BookEntry[]): ByPlace {
  const found = new Map<string, BookEntry[]>()
  for (const entry of entries) {
    const key = placeKey(entry)
    const there = found.get(key)
    if (there) there.push(entry)
    else found.set(key, [entry])
  }
  return found
}

/** The entries a column shows: for a level the highest rung; for a weight the one used at its station. */
function entriesFor({ kind, key, block, station }: BookColumn, places: ByPlace): BookEntry[] {
  const direct = [...(places.get(key) ?? [])]
  if (kind === 'level') {
    const runs = new Map<string, BookEntry>()
    for (const e of [...places.values()].flat()) {
      if (e.block !== block || e.rung === undefined || e.value === null) continue
      const best = runs.get(e.at)
      if (!best || best.value! < e.rung) runs.set(e.at, { ...e, value: e.rung, rung: undefined })
    }
    return [...direct, ...runs.values()]
  }
  if (kind !== 'weight') return direct
  const all = [...places.values()].flat()
  const lifted = all.filter((e) => e.what === 'result' && e.block === block && e.station === station && e.kg)
  return [...direct, ...lifted.map((e) => ({ ...e, value: e.kg! }))]
}

/**
 * The value of each cell.
 *
 * @param entries the current ones of this session (not replaced by a later one)
 * @param earlier a child's values of the same places from earlier times the session was sent home
 */
export function bookCells(
  columns: readonly BookColumn[],
  entries: readonly BookEntry[],
  earlier: readonly BookEntry[] = [],
): BookCells {
  const before = byPupil(earlier)
  return new Map(
    [...byPupil(entries)].map(([pupil, all]) => {
      const [own, past] = [byPlace(all), byPlace(before.get(pupil) ?? [])]
      const cells = columns.flatMap((column): [string, BookCell][] => {
        const found = entriesFor(column, own).sort(inTime)
        const entry = found.pop()
        if (!entry) return []
        return [[column.key, { entry, before: [...entriesFor(column, past).sort(inTime), ...found] }]]
      })
      return [pupil, new Map(cells)]
    }),
  )
}

/**
 * A child's own values of a cell in the order they were done, made comparable: per thirty seconds if the work was timed.
 *
 * @returns nothing if there is only one, or if some are timed and some are not
 */
export function ownLine({ unit }: Pick<BookColumn, 'unit'>, { entry, before }: BookCell): number[] {
  const told = [...before, entry].filter((e) => e.value !== null)
  if (told.length < 2) return []
  const rates = told.map((e) => per30(e.value!, { unit, seconds: e.seconds }))
  if (rates.every((rate) => rate !== undefined)) return rates
  return rates.some((rate) => rate !== undefined) ? [] : told.map((e) => e.value!)
}
