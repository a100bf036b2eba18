export type Import = [from: string, to: string]

/** Nodes that reach themselves along the arrows; empty if there is no cycle. */
export function circlesOf(arrows: readonly Import[]): string[] {
  const next = new Map<string, Set<string>>()
  for (const [from, to] of arrows) if (from !== to) (next.get(from) ?? next.set(from, new Set()).get(from)!).add(to)
  const reached = (start: string): Set<string> => {
    const seen = new Set<string>()
    const open = [...(next.get(start) ?? [])]
    for (let at = open.pop(); at !== undefined; at = open.pop()) {
      if (seen.has(at)) continue
      seen.add(at)
      open.push(...(next.get(at) ?? []))
    }
    return seen
  }
  return [...next.keys()].filter((name) => reached(name).has(name)).sort()
}
