import { originAmong, type Joints, type Point } from './body.ts'
import type { Company, Figure, Prop } from './schema.ts'

/** Whether it is a person, not a thing. */
export const isCompany = (prop: Prop): prop is Company => prop.kind === 'partner' || prop.kind === 'follower'

/**
 * Where the other child of a pair is: maps a point of the figure to the other child's.
 *
 * @param first the joints of the first pose; what is beside them is measured from between their feet
 * @returns undefined if the figure is alone
 * @example beside(mirror, joints)?.({ x: 0.4, y: 0.9 }) // { x: 0.96, y: 0.9 }, with a partner 0.28 before feet at 0.4
 */
export function beside({ props = [] }: Figure, first: Joints): ((point: Point) => Point) | undefined {
  const company = props.find(isCompany)
  if (!company) return undefined
  const { kind, x } = company
  const line = originAmong(first) + x
  return kind === 'partner' ? (p) => ({ x: 2 * line - p.x, y: p.y }) : (p) => ({ x: p.x + x, y: p.y })
}
