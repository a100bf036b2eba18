import type { BookColumn } from '@esfuerzo/core/classBook'
import type { ResultKind } from '@esfuerzo/core/run'

/** A value that was typed or read from a file, ready to be stored. */
export interface NewEntry {
  id: string
  pupil_id: string
  what: ResultKind
  block: string | null
  station: string | null
  lap: number | null
  rung: number | null
  trial: number | null
  test: string | null
  move: string | null
  version: string | null
  name: string
  unit: string
  value: number | null
  seconds: number | null
  source: 'typed' | 'imported'
  /** The entry it replaces. */
  replaces: string | null
}

/** A value of a column as it is stored, described by its session, so that nobody has to read that again. */
export function newEntry(
  column: BookColumn,
  value: { id: string; pupil: string; value: number | null; source: NewEntry['source']; replaces: string | null },
): NewEntry {
  const { what, name, unit } = column
  const { block = null, station = null, lap = null, rung = null, trial = null } = column
  const { test = null, move = null, version = null, seconds = null } = column
  const { pupil: pupil_id, ...rest } = value
  return { ...rest, pupil_id, what, block, station, lap, rung, trial, test, move, version, name, unit, seconds }
}
