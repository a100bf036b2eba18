import type { TestId } from '../session/blockParts.ts'
import { defaultOf } from './defaults.ts'

/**
 * Seconds a measurement takes: setting up, trials, writing each score down. Common practice, no source.
 *
 * @example measureSeconds('sitAndReach', 2) // 110
 * @example measureSeconds('pulse', 1) // 20
 */
export function measureSeconds(test: TestId, trials: number): number {
  const trial = {
    pulse: defaultOf('pulseCount'),
    sitAndReach: defaultOf('reachTrial'),
    hold: defaultOf('holdTrial'),
    reps30: defaultOf('repsTrial'),
  }[test]
  return (test === 'sitAndReach' ? defaultOf('reachSetUp') : 0) + trials * (trial + defaultOf('writeScore'))
}
