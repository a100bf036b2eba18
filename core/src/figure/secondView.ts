import type { Figure } from './schema.ts'

const made = new WeakMap<Figure, Figure>()

/**
 * A figure as it is seen from its other side: in the same moment of the cycle both do the same.
 *
 * @returns undefined where one side shows the move; the same object for the same figure
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
