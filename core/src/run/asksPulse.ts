import { measuredIn } from '../publication/measuredIn.ts'
import type { PlayOf } from '../publication/playSchema.ts'
import type { Lane } from '../publication/schema.ts'
import type { Pulse } from './schema.ts'

/** The counts of each test that counts a pulse. */
const counts: Record<string, (moment: string) => Pulse['when'][]> = {
  pulse: (moment) => [moment === 'before' || moment === 'after' ? moment : 'during'],
  restingPulse: () => ['before'],
  pulseAfter: () => ['after', 'minuteAfter'],
}

/**
 * The pulse counts a test asks for, in order; none for other tests.
 *
 * @example countsOf({ test: 'pulseAfter', moment: 'alone' }) // ['after', 'minuteAfter']
 */
export const countsOf = ({ test, moment }: Pick<PlayOf<'measure'>, 'test' | 'moment'>): Pulse['when'][] =>
  counts[test]?.(moment) ?? []

/**
 * When a session asks a lane to count its pulse: during the course if it has such a step, and then also after it; otherwise never, and no
 * pulse is sent home from there.
 */
export function pulsesAsked({ plays }: Pick<Lane, 'plays'>): Pulse['when'][] {
  const moments = Object.values(plays).flatMap((play) => {
    const measured = measuredIn(play)
    return measured ? countsOf(measured) : []
  })
  return moments.length ? [...new Set([...moments, 'after' as const])] : []
}

/** Whether a pulse is sent home from a lane, or stays on the device. */
export const asksPulse = (lane: Pick<Lane, 'plays'>): boolean => pulsesAsked(lane).length > 0
