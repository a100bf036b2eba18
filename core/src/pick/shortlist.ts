import type { PickCandidate } from './pickProblem.ts'

/** So many of the best are looked at for a part: what is picked is the best of these, and not of all moves. */
const mostCandidates = 25

/** The best candidates up to a number, plus those that must be picked, plus a few for every label with a constraint. */
export function shortlist(
  scored: readonly PickCandidate[],
  forced: readonly string[],
  labels: readonly string[],
): PickCandidate[] {
  const order = [...scored].sort((a, b) => b.score - a.score)
  const asked = labels.flatMap((label) => order.filter((c) => c.labels.includes(label)).slice(0, 4))
  const first = new Set([...order.filter((c) => forced.includes(c.id)), ...asked])
  return [...first, ...order.filter((c) => !first.has(c))].slice(0, Math.max(mostCandidates, first.size))
}
