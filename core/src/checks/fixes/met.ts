import type { CheckView } from '../view.ts'

/** Exercises the youngest have met: in this session, or in earlier ones. Undefined without such a group. */
export function metByYoungest(
  { lanes, cells, context }: CheckView,
  groups?: readonly string[],
): Set<string> | undefined {
  const young = new Set(
    lanes.filter(({ group, band }) => band === 0 && (groups?.includes(group.id) ?? true)).map(({ group }) => group.id),
  )
  if (!young.size) return undefined
  return new Set([
    ...cells.flatMap(({ group, move }) => (young.has(group.id) ? [move.id] : [])),
    ...(context.known ?? []),
  ])
}
