import type { CheckView } from '../view.ts'

/** Moves the youngest have met: those they do in this session, and those they were sent. Undefined where nobody is so young. */
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
