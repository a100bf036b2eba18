/** A candidate. Scores are whole numbers, so that equal answers are exactly equal. */
export interface PickCandidate {
  id: string
  score: number
  /** What it is or adds: a family, a muscle, "new". */
  labels: readonly string[]
}

/** Pick this many of a list so that together they score most. */
export interface PickProblem {
  /** Exactly so many are picked. */
  count: number
  candidates: readonly PickCandidate[]
  /** Ids that must be picked. */
  forced?: readonly string[]
  /** A bonus for a label, counted once if any pick has it. Not negative. */
  worth?: Readonly<Record<string, number>>
  /** The fewest and the most picks with a label. */
  least?: Readonly<Record<string, number>>
  most?: Readonly<Record<string, number>>
}

export interface PickSolution {
  /** In the order of the candidates. */
  ids: string[]
  score: number
  /** An upper bound: no answer is worth more. */
  bound: number
  /** False if the search was cut short: then a better answer up to the bound may exist. */
  proven: boolean
}

/** How often each label occurs among some picks. */
export function labelCounts(picks: readonly PickCandidate[]): Map<string, number> {
  const counts = new Map<string, number>()
  for (const { labels } of picks) for (const label of labels) counts.set(label, (counts.get(label) ?? 0) + 1)
  return counts
}

/** The value of some picks together: their scores, plus each label's bonus once. */
export const pickScore = (picks: readonly PickCandidate[], { worth = {} }: Pick<PickProblem, 'worth'>): number => {
  const counts = labelCounts(picks)
  const brought = Object.entries(worth).reduce((sum, [label, value]) => sum + (counts.has(label) ? value : 0), 0)
  return picks.reduce((sum, { score }) => sum + score, brought)
}

/** Whether some picks satisfy every constraint of a problem. */
export function isAllowed(picks: readonly PickCandidate[], problem: PickProblem): boolean {
  const counts = labelCounts(picks)
  const { count, forced = [], least = {}, most = {} } = problem
  return (
    picks.length === count &&
    forced.every((id) => picks.some((p) => p.id === id)) &&
    Object.entries(least).every(([label, n]) => (counts.get(label) ?? 0) >= n) &&
    Object.entries(most).every(([label, n]) => (counts.get(label) ?? 0) <= n)
  )
}
