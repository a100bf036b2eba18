import type { Performed } from '../library/versionFor.ts'

/** Families whose work is strength. */
const strength: readonly string[] = ['squat', 'lunge', 'hinge', 'push', 'pull', 'brace', 'curl', 'extend', 'twist']
/** Values of the compendium that were measured over sets including the pauses between them. Inferred from their names; ours. */
const withPauses: readonly string[] = ['02022', '02024', '02035', '02054']
/** How much higher the work alone is, and a hold; ours. */
const [workAlone, hold] = [1.35, 1]

/**
 * METs of an exercise during the work itself. The library's values for strength include the pauses of the measured lessons; a lane has its
 * rests as separate steps, so they would count twice.
 *
 * @example workMet({ move: squat, version: { met: 3.8 }, … }) // 4.78
 */
export function workMet({ move, version: { met } }: Pick<Performed, 'move' | 'version'>): number {
  if (!strength.includes(move.family) || !withPauses.includes(move.effort)) return met
  return move.measures[0] === 'seconds' ? met + hold : 1 + (met - 1) * workAlone
}
