import type { Point } from './body.ts'

/**
 * Where the middle joint of a two-segment limb is, given its root and its target. Segment lengths are fixed: a target out of reach is
 * approached with a straight limb.
 *
 * Source of the formula: law of cosines.
 *
 * @param upper length from the root to the middle joint
 * @param lower length from the middle joint to the end
 * @param bend which side the middle joint is on: the sign of the turn from upper to lower segment
 * @returns the middle joint and the end, which is the target if it can be reached
 */
export function twoBone(
  root: Point,
  target: Point,
  upper: number,
  lower: number,
  bend: 1 | -1,
): { middle: Point; end: Point } {
  const dx = target.x - root.x
  const dy = target.y - root.y
  const distance = Math.hypot(dx, dy) || 1e-9
  const reach = Math.min(Math.max(distance, Math.abs(upper - lower) + 1e-6), upper + lower)
  const along = (upper * upper - lower * lower + reach * reach) / (2 * reach)
  const aside = Math.sqrt(Math.max(0, upper * upper - along * along)) * bend
  const ux = dx / distance
  const uy = dy / distance
  return {
    middle: { x: root.x + ux * along + uy * aside, y: root.y + uy * along - ux * aside },
    end: { x: root.x + ux * reach, y: root.y + uy * reach },
  }
}
