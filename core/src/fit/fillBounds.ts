import { gradeBounds } from '../bounds/gradeBounds.ts'
import type { Block } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Group } from '../terms/group.ts'

/**
 * How far a timed session may be filled: no slot longer than the grade's limit for any exercise, and no rest longer than the work it
 * follows. Ours: fill a session with doing, not with waiting. Each pair is a value and its maximum; a value already above its maximum may
 * stay.
 *
 * @example a circuit of 30/40 for grades 4–6: [[30, 60], [10, 0]]
 */
export function fillBounds(block: Block, group: Group): [value: number, most: number][] {
  const laps = traitsOf(block).clock?.(block, group.id).laps
  if (!laps) return []
  return [
    [Math.max(...laps.map((lap) => lap.work)), gradeBounds(group).work],
    [Math.max(...laps.map((lap) => lap.rest - lap.work)), 0],
  ]
}
