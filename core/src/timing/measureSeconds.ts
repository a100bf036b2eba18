import type { Measure } from '../terms/measure.ts'
import { defaultOf } from './defaults.ts'

/**
 * Seconds a measurement takes: setting up, trials, writing each score down.
 *
 * @example measureSeconds({ seconds: { setUp: 60, trial: 20 } }, 2) // 110
 * @example measureSeconds({ seconds: { setUp: 0, trial: 15 } }, 1) // 20
 */
export const measureSeconds = ({ seconds }: Pick<Measure, 'seconds'>, trials: number): number =>
  seconds.setUp + trials * (seconds.trial + defaultOf('writeScore'))
