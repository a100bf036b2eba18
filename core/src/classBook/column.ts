import type { Lane, Publication } from '../publication/schema.ts'
import { measuredIn } from '../publication/measuredIn.ts'
import { measureOf } from '../publication/measureOf.ts'
import { countsOf, pulsesAsked } from '../run/asksPulse.ts'
import { feltScale } from '../run/felt.ts'
import { pulseKinds, type ResultKind, type ResultRow } from '../run/resultRows.ts'
import { recordRows, type RecordRow } from '../sheets/recordRows.ts'
import type { Language } from '../terms/language.ts'

/** The place of a value in the class book, within one session sent home. */
export interface BookPlace {
  what: ResultKind
  block?: string | undefined
  station?: string | undefined
  lap?: number | undefined
  rung?: number | undefined
  trial?: number | undefined
}

/** A column of the class book: one box of the session's paper form. */
export interface BookColumn extends BookPlace {
  key: string
  kind: RecordRow['kind'] | 'felt' | 'pulse' | 'weight' | 'moved'
  /** What is done; the empty string if the kind says everything. */
  name: string
  /** The part of the session. */
  part: string
  unit: ResultRow['unit'] | 'kg'
  /** Which box in a row of how many. */
  nth: number
  of: number
  /** Seconds of timed work. */
  seconds?: number
  /** What is measured, and the range of one try. */
  test?: string
  range?: { from: number; to: number; step: number }
  /** The lane's exercise and version at the start: only like is compared with like. */
  move?: string
  version?: string
}

/**
 * A place as one string, equal for two results of the same thing.
 *
 * @example placeKey({ what: 'result', block: 'b2', station: 's1', lap: 2 }) // 'result b2 s1 lap 2'
 */
export function placeKey({ what, block, station, lap, rung, trial }: BookPlace): string {
  const nth = [
    ['lap', lap],
    ['rung', rung],
    ['trial', trial],
  ].flatMap(([name, n]) => (n === undefined ? [] : [`${name} ${n}`]))
  return [what, block, station, ...nth].filter((part) => part !== undefined).join(' ')
}

/**
 * The columns of a session for one lane: the boxes of its paper form in order, including surprises.
 *
 * @example bookColumns(publication, lane, 'en')[0]?.key // 'result b2 s1 lap 1'
 */
export function bookColumns(publication: Publication, lane: Lane, language: Language): BookColumn[] {
  const rows = recordRows(publication, lane, language, true)
  const columns = rows.flatMap((row): BookColumn[] => (isPulse(lane, row) ? [] : boxesOf(row, lane, publication)))
  const scale = feltScale(lane.grades)
  const told: Pick<BookColumn, 'what' | 'kind' | 'unit'>[] = [
    ...pulsesAsked(lane).map((when) => ({ what: pulseKinds[when], kind: 'pulse', unit: 'perMinute' }) as const),
    { what: 'felt', kind: 'felt', unit: scale },
    ...(publication.asksMoved ? [{ what: 'moved', kind: 'moved', unit: 'minutes' } as const] : []),
  ]
  return [...columns, ...told.map((t): BookColumn => ({ ...t, key: t.what, name: '', part: '', nth: 1, of: 1 }))]
}

/** A measured pulse is shown as a pulse. */
function isPulse(lane: Lane, { kind, block }: RecordRow): boolean {
  const measured = measuredIn(lane.plays[block])
  return kind === 'measure' && measured !== undefined && countsOf(measured).length > 0
}

/** How the boxes of a row are numbered. */
function boxesOf(row: RecordRow, lane: Lane, publication: Publication): BookColumn[] {
  const { kind, block, station, name = '', part, unit, boxes, kg } = row
  const steps = station === undefined ? [] : lane.steps.filter((s) => s.station === station && s.kind === 'work')
  const work = steps.filter((s) => s.by === 'clock')
  const { move, version } = steps[0] ?? {}
  const play = kind === 'measure' ? lane.plays[block] : undefined
  const test = measuredIn(play)?.test
  const range = measureOf(publication, play)?.range
  const columns = Array.from({ length: boxes }, (_, i): BookColumn => {
    const nth = i + 1
    const place: BookPlace = {
      what: 'result',
      block,
      ...(station !== undefined && { station }),
      ...((kind === 'station' || (kind === 'points' && boxes > 1)) && { lap: nth }),
      ...(kind === 'measure' && { trial: nth }),
    }
    const seconds = kind === 'station' ? secondsOf(work, nth) : 0
    return {
      ...place,
      key: placeKey(place),
      kind,
      name,
      part,
      unit,
      nth,
      of: boxes,
      ...(seconds > 0 && { seconds }),
      ...(test && { test }),
      ...(range && { range }),
      ...(move && { move }),
      ...(version && { version }),
    }
  })
  if (kg === undefined || station === undefined) return columns
  const place: BookPlace = { what: 'weight', block, station }
  return [...columns, { ...place, key: placeKey(place), kind: 'weight', name, part, unit: 'kg', nth: 1, of: 1 }]
}

const secondsOf = (work: Lane['steps'], nth: number): number =>
  work.filter((s) => (s.set ?? s.lap ?? 1) === nth).reduce((sum, s) => sum + s.seconds.typical, 0)
