import type { Outline } from '../publication/outline.ts'
import { pulseRate } from '../results/pulse.ts'
import type { Pulse, Result, Run } from './schema.ts'

/** The kind of row: something the session asked for; how hard it felt; a pulse. */
export const resultKinds = [
  'result',
  'felt',
  'pulseBefore',
  'pulseDuring',
  'pulseAfter',
  'pulseMinuteAfter',
  'weight',
  'moved',
] as const
export type ResultKind = (typeof resultKinds)[number]

/** A result on its own, described by its session, so that nobody has to read that again. */
export interface ResultRow {
  what: ResultKind
  block?: string
  station?: string
  test?: string
  testSetUp?: string
  /** Differences from the test's rules: counted by the child, in other shoes, cold. */
  how?: string
  trial?: number
  lap?: number
  rung?: number
  move?: string
  version?: string
  /** Its name: the version's, or the block's if it belongs to no station. */
  name: string
  /** For a pulse beats per minute; for effort the scale. */
  unit: Result['unit'] | 'perMinute' | 'faces' | 'ten' | 'minutes'
  value: number
  /** Seconds of timed work it was done in. */
  seconds?: number
  kg?: number
  clean?: 'yes' | 'no'
}

/** The name of a pulse, by when it was counted. */
export const pulseKinds = {
  before: 'pulseBefore',
  during: 'pulseDuring',
  after: 'pulseAfter',
  minuteAfter: 'pulseMinuteAfter',
} as const satisfies Record<Pulse['when'], ResultKind>

/** How it felt, its pulses, the minutes moved. */
const toldOf = ({ felt, pulses = [], movedMinutes }: Run): ResultRow[] => [
  ...(felt ? [{ what: 'felt' as const, name: '', unit: felt.scale, value: felt.value }] : []),
  ...pulses.map(({ beats, seconds, when }) => ({
    what: pulseKinds[when],
    name: '',
    unit: 'perMinute' as const,
    value: pulseRate(beats, seconds).rate,
  })),
  ...(movedMinutes === undefined
    ? []
    : [{ what: 'moved' as const, name: '', unit: 'minutes' as const, value: movedMinutes }]),
]

/** A station in a lane: its name, what is done there, and for how long in that lap. */
function stationOf(lane: Outline['lanes'][number] | undefined, { station, lap }: Result): Partial<ResultRow> {
  if (station === undefined || !lane) return {}
  const name = lane.stations[station]
  const seconds = lane.work?.[station]?.[lap ?? 1]
  return { ...lane.does?.[station], ...(name !== undefined && { name }), ...(seconds && { seconds }) }
}

/** What a measurement says about its method besides the set-up is a difference. */
function otherwise({ counted, shoes, warm }: NonNullable<Result['how']> = {}): { how?: string } {
  const said = [
    counted && `counted ${counted}`,
    shoes && `shoes ${shoes}`,
    warm !== undefined && (warm ? 'warm' : 'cold'),
  ]
  const how = said.filter(Boolean).join(', ')
  return how ? { how } : {}
}

function rowOf(result: Result, lane: Outline['lanes'][number] | undefined, { blocks }: Outline): ResultRow {
  const { block: id, station, trial, lap, rung, unit, value, clean, load, how } = result
  const block = blocks.find((b) => b.id === id)
  const test = station === undefined ? block?.test : undefined
  return {
    what: 'result',
    block: id,
    ...(station !== undefined && { station }),
    ...(test && { test }),
    ...((how?.setUp ?? block?.setUp) && { testSetUp: how?.setUp ?? block?.setUp }),
    ...otherwise(how),
    ...(trial !== undefined && { trial }),
    ...(lap !== undefined && { lap }),
    ...(rung !== undefined && { rung }),
    name: block?.name ?? '',
    ...stationOf(lane, result),
    unit,
    value,
    ...(load && { kg: load.kg }),
    ...(clean && { clean }),
  }
}

/**
 * The results of a run as single rows: its results, how it felt, its pulses.
 *
 * @param outline of what was sent home; a result it does not describe stays without details
 */
export function resultRows(run: Run, outline: Outline): ResultRow[] {
  const lane = outline.lanes.find((l) => l.id === run.group)
  return [...run.results.map((result) => rowOf(result, lane, outline)), ...toldOf(run)]
}
