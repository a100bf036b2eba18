import type { Lane } from '../publication/schema.ts'
import type { Pulse } from './schema.ts'

/**
 * When a session asks a lane to count its pulse: where it does in its course, and then after it too; never where it does not, and no
 * pulse is sent home from there.
 */
export function pulsesAsked({ plays }: Pick<Lane, 'plays'>): Pulse['when'][] {
  const moments = Object.values(plays).flatMap((play): Pulse['when'][] => {
    if (play?.form !== 'measure' || play.test !== 'pulse') return []
    return [play.moment === 'before' || play.moment === 'after' ? play.moment : 'during']
  })
  return moments.length ? [...new Set([...moments, 'after' as const])] : []
}

/** Whether a pulse is sent home from a lane, or stays on the device. */
export const asksPulse = (lane: Pick<Lane, 'plays'>): boolean => pulsesAsked(lane).length > 0
