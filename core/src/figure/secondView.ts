import type { Figure } from './schema.ts'

const made = new WeakMap<Figure, Figure>()

/**
 * A figure seen from its other side; at the same moment of the cycle both are in the same position.
 *
 * @returns undefined if one side is enough to show the exercise; the same object for the same figure
 * @example secondView(windmill)?.view // 'side'
 */
export function secondView(figure: Figure): Figure | undefined {
  const { second, ...first } = figure
  if (!second) return undefined
  let known = made.get(figure)
  if (!known) {
    const { anchor: _a, fixed: _f, props: _p, ...shared } = first
    // Only the first view says how long a pose is held.
    const poses = second.poses.map((pose, i) => {
      const { hold, go } = figure.poses[i] ?? pose
      return { ...pose, ...(hold !== undefined && { hold }), ...(go !== undefined && { go }) }
    })
    known = { ...shared, ...second, poses }
    made.set(figure, known)
  }
  return known
}
