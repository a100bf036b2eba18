import { z } from 'zod'
import { sameValue } from '../base/sameValue.ts'
import { idSchema } from '../base/id.ts'

/** A value that may differ by group: the shared one, and complete values of their own for some groups. */
export interface PerGroup<T> {
  all: T
  by?: Record<string, T>
}

/** Which groups an edit changes: all, or those with these ids. */
export type Scope = 'all' | readonly string[]

/**
 * The canonical form: own values equal to the shared one are dropped, and so is an empty `by`.
 *
 * @example canonical({ all: 3, by: { g1: 3, g2: 4 } }) // { all: 3, by: { g2: 4 } }
 */
export function canonical<T>(value: PerGroup<T>): PerGroup<T> {
  if (!value.by) return { all: value.all }
  const own = Object.entries(value.by).filter(([, v]) => !sameValue(v, value.all))
  return own.length ? { all: value.all, by: Object.fromEntries(own) } : { all: value.all }
}

/** The schema of a value that may differ by group. Unknown group ids are found by `crossProblems`, which knows the groups. */
export const perGroupSchema = <S extends z.ZodType>(value: S) =>
  z
    .strictObject({ all: value, by: z.record(idSchema, value).optional() })
    .overwrite((v) => canonical(v as PerGroup<z.output<S>>) as typeof v)

/** The value for one group. */
export function valueFor<T>(value: PerGroup<T>, groupId: string): T {
  return value.by && Object.hasOwn(value.by, groupId) ? value.by[groupId]! : value.all
}

/** The value for one group, or the shared one. */
export const ofGroup = <T>(value: PerGroup<T>, groupId: string | undefined): T =>
  groupId === undefined ? value.all : valueFor(value, groupId)

/** Whether a group has a value of its own. */
export const hasOwn = (value: PerGroup<unknown>, groupId: string): boolean =>
  value.by !== undefined && Object.hasOwn(value.by, groupId)

/**
 * Changes the value for some groups and no other.
 *
 * @param scope `'all'` changes the shared value and every own value; a list changes only those groups
 * @param change from the current value to the new one
 * @example mapGroups({ all: 1 }, ['g2'], (n) => n + 1) // { all: 1, by: { g2: 2 } }
 */
export function mapGroups<T>(value: PerGroup<T>, scope: Scope, change: (now: T) => T): PerGroup<T> {
  if (scope === 'all') {
    const by = value.by && Object.fromEntries(Object.entries(value.by).map(([id, v]) => [id, change(v)]))
    return canonical({ all: change(value.all), by })
  }
  const by = { ...value.by }
  for (const id of scope) by[id] = change(valueFor(value, id))
  return canonical({ all: value.all, by })
}

/**
 * If every group has a value of its own, the shared one is unused: the value that most of them have becomes shared, in a tie the first. No
 * group's value changes.
 *
 * @param groupIds all groups of the session
 * @example settled({ all: 1, by: { g1: 2, g2: 2, g3: 3 } }, ['g1', 'g2', 'g3']) // { all: 2, by: { g3: 3 } }
 */
export function settled<T>(value: PerGroup<T>, groupIds: readonly string[]): PerGroup<T> {
  if (!groupIds.every((id) => hasOwn(value, id))) return value
  const values = groupIds.map((id) => value.by![id]!)
  const like = (v: T) => values.filter((other) => sameValue(v, other)).length
  const all = values.reduce((most, v) => (like(v) > like(most) ? v : most))
  return canonical({ all, by: value.by })
}

/** A part of a session with each of its per-group values {@link settled}. */
export function settledPart<T>(part: T, groupIds: readonly string[]): T {
  const walk = (value: unknown): unknown => {
    if (value === null || typeof value !== 'object') return value
    if (Array.isArray(value)) return value.map(walk)
    if (looksPerGroup(value)) return settled(value, groupIds)
    return Object.fromEntries(Object.entries(value).map(([key, inner]) => [key, walk(inner)]))
  }
  return walk(part) as T
}

/** The value without a removed group's own part. */
export function withoutGroup<T>(value: PerGroup<T>, groupId: string): PerGroup<T> {
  if (!hasOwn(value, groupId)) return value
  const by = { ...value.by }
  delete by[groupId]
  return canonical({ all: value.all, by })
}

/** Whether unknown data has the shape of a value that may differ by group. */
export function looksPerGroup(value: unknown): value is PerGroup<unknown> {
  if (value === null || typeof value !== 'object' || !('all' in value)) return false
  return Object.keys(value).every((key) => key === 'all' || key === 'by')
}
