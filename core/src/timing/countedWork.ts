import type { Version } from '../moves/schema.ts'
import { capOf, typicalAmount, type Dose } from '../workout/dose.ts'
import type { Tempo } from '../workout/station.ts'
import { defaultOf } from './defaults.ts'
import { clocked, roundHalfUp, type Span } from './span.ts'

const tempos: Record<Tempo, number> = {
  led: defaultOf('tempoLed'),
  own: defaultOf('tempoOwn'),
  slow: defaultOf('tempoSlow'),
}

/** What counted work depends on besides its dose. */
export interface Counting {
  version: Pick<Version, 'secondsPerRep'>
  tempo?: Tempo
  /** The group's pace, see `defaultPace`. */
  pace: number
  /** Seconds of one breath in the group. */
  breath: number
}

/** Seconds of one rep as this group does it: version × tempo × pace. */
export const secondsPerRep = ({ version, tempo = 'led', pace }: Omit<Counting, 'breath'>): number =>
  version.secondsPerRep * tempos[tempo] * pace

/** Seconds of one of a dose's units: a rep, a goe or a metre at the version's pace, a breath, a second. */
export function secondsPerUnit(unit: Dose['unit'], counting: Counting): number {
  if (unit === 'seconds') return 1
  return unit === 'breaths' ? counting.breath : secondsPerRep(counting)
}

/** Whether a dose is led by the clock: seconds that do not end when the child has had enough. */
export const isByClock = (dose: Dose): boolean => dose.unit === 'seconds' && capOf(dose.amount) === undefined

/**
 * Seconds a dose takes: amount × seconds per unit, a quick child 0.75 and a slow one 1.35 of it; for "as many as
 * you can" the slow end is the cap. Seconds are a clock's, except "as long as you can", which the child ends.
 *
 * @example countedWork({ unit: 'reps', amount: 10 }, { version: { secondsPerRep: 1.8 }, pace: 1, breath: 6 })
 * // { low: 14, typical: 18, high: 24 }
 */
export function countedWork(dose: Dose, counting: Counting): Span {
  if (isByClock(dose)) return clocked(typicalAmount(dose.amount))
  const unit = secondsPerUnit(dose.unit, counting)
  const typical = typicalAmount(dose.amount) * unit
  const cap = capOf(dose.amount)
  return {
    low: roundHalfUp(typical * defaultOf('quick')),
    typical: roundHalfUp(typical),
    high: roundHalfUp(cap === undefined ? typical * defaultOf('slow') : cap * unit),
  }
}
