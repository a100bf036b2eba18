import { limit } from './limits.ts'
import type { CheckedLane } from './view.ts'

/** Landings of a lane, counted by rep or by the seconds of a rep. */
export function landed({ steps }: CheckedLane): { full: number; hard: number } {
  let all = 0
  let hard = 0
  for (const { kind, seconds, doing, say } of steps) {
    if (kind !== 'work' || !doing || doing.version.impact < limit('fullLanding', 0)) continue
    const { amount, unit } = say.params
    const counted = unit === 'reps' && typeof amount === 'number'
    const reps = counted ? amount : Math.round(seconds.typical / doing.version.secondsPerRep)
    const n = reps * (doing.version.landings ?? 1)
    all += n
    if (doing.version.hard) hard += n
  }
  return { full: all, hard }
}
