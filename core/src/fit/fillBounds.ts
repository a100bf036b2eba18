import { gradeBounds } from '../bounds/gradeBounds.ts'
import type { Block } from '../session/forms.ts'
import { traitsOf } from '../session/formTraits.ts'
import type { Group } from '../terms/group.ts'

/**
 * How far a session may be filled up by its clock: a slot not past the grade's line whatever is done in it, a rest not
 * longer than the work it follows. Ours: a session is filled with doing, not with waiting. Each is a value and the most
 * it should be; where it is more already, it may stay.
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
