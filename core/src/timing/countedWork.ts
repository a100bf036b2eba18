import type { Move, Version } from '../terms/move.ts'
import { capOf, typicalAmount, type Dose } from '../terms/dose.ts'
import type { Tempo } from '../session/station.ts'
import type { Unit } from '../terms/units.ts'
import { defaultOf } from './defaults.ts'
import { fraction, product, rounded, roundProduct, type Fraction } from './exact.ts'
import { clocked, type Span } from './span.ts'

export const tempos: Record<Tempo, number> = {
  led: defaultOf('tempoLed'),
  own: defaultOf('tempoOwn'),
  slow: defaultOf('tempoSlow'),
}

/** What the duration of counted work depends on besides its dose. */
export interface Counting {
  version: Pick<Version, 'secondsPerRep' | 'secondsPerMetre' | 'secondsPerGo'>
  tempo?: Tempo
  /** The group's pace, see `defaultPace`. */
  pace: number
  /** Seconds of one breath in the group. */
  breath: number
  /** Extra slowing factors, such as a later round's. */
  fade?: readonly Fraction[]
}

/** Seconds of one rep in this group: version × tempo × pace. */
export const secondsPerRep = ({ version, tempo = 'led', pace }: Pick<Counting, 'version' | 'tempo' | 'pace'>): number =>
  version.secondsPerRep * tempos[tempo] * pace

const nothing: readonly Fraction[] = []

/** Seconds of one of a dose's units, as factors: a rep, a go or a meter at the version's pace, a breath, a second. */
function unitFactors(unit: Unit, { version, tempo = 'led', pace, breath, fade = nothing }: Counting): Fraction[] {
  if (unit === 'seconds') return []
  if (unit === 'breaths') return [fraction(breath), ...fade]
  const one =
    (unit === 'metres' && version.secondsPerMetre) || (unit === 'goes' && version.secondsPerGo) || version.secondsPerRep
  return [fraction(one), fraction(tempos[tempo]), fraction(pace), ...fade]
}

/** Units for an exercise that takes no reps, the most likely first. */
const instead: readonly Unit[] = ['seconds', 'goes', 'breaths', 'metres']

/**
 * The unit in which a number of an exercise is done: ten "of" a hold are ten seconds; otherwise the unit asked for.
 *
 * @example unitTaken('reps', plank) // 'seconds'
 */
export const unitTaken = (unit: Unit, { measures }: Pick<Move, 'measures'>): Unit =>
  unit !== 'reps' || measures.includes('reps') ? unit : (instead.find((u) => measures.includes(u)) ?? unit)

/** A dose in a unit the exercise takes. */
export const doseTaken = (dose: Dose, move: Pick<Move, 'measures'>): Dose => {
  const unit = unitTaken(dose.unit, move)
  return unit === dose.unit ? dose : { ...dose, unit }
}

/** Whether a dose is timed by the clock: seconds that do not end early. */
export const isByClock = (dose: Dose): boolean => dose.unit === 'seconds' && capOf(dose.amount) === undefined

const quick = fraction(defaultOf('quick'))
const slow = fraction(defaultOf('slow'))

/** The duration of self-paced work for a quick, a usual and a slow child: 0.75, 1 and 1.35 of the typical, each rounded once. */
export function countedSpan(...factors: readonly Fraction[]): Span {
  const whole = product(factors)
  if (whole && Number.isSafeInteger(100 * whole.n) && Number.isSafeInteger(100 * whole.d))
    return {
      low: rounded({ n: whole.n * quick.n, d: whole.d * quick.d }),
      typical: rounded(whole),
      high: rounded({ n: whole.n * slow.n, d: whole.d * slow.d }),
    }
  return {
    low: roundProduct(...factors, quick),
    typical: roundProduct(...factors),
    high: roundProduct(...factors, slow),
  }
}

/**
 * Seconds a dose takes: amount × seconds per unit, 0.75 of it for a quick child and 1.35 for a slow one; for "as many as you can" the slow
 * end is the cap. Seconds are timed by the clock, except "as long as you can", which the child ends.
 *
 * @example countedWork({ unit: 'reps', amount: 10 }, { version: { secondsPerRep: 1.8 }, pace: 1, breath: 6 })
 * // { low: 14, typical: 18, high: 24 }
 */
export function countedWork(dose: Dose, counting: Counting): Span {
  if (isByClock(dose)) return clocked(roundProduct(fraction(typicalAmount(dose.amount))))
  const unit = unitFactors(dose.unit, counting)
  const span = countedSpan(fraction(typicalAmount(dose.amount)), ...unit)
  const cap = capOf(dose.amount)
  return cap === undefined ? span : { ...span, high: roundProduct(fraction(cap), ...unit) }
}
