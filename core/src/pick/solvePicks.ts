import { isAllowed, pickScore, type PickCandidate, type PickProblem, type PickSolution } from './pickProblem.ts'

export interface SolveOptions {
  /** The search is cut short after this many branches if there is an answer; that answer is returned. */
  branches?: number
}

/** Enough to prove the optimum for any section of a session; occasionally takes a hundredth of a second. */
const usualBranches = 200_000

/**
 * The best picks, by branch and bound: the most promising first, so that the first answer is the greedy one and stopping at any moment
 * leaves an answer. A branch is cut if even the best of the rest cannot beat the known answer, or a constraint can no longer be met.
 *
 * @returns undefined if no picks satisfy every constraint, or none were found in this many branches
 * @example solvePicks({ count: 1, candidates: [{ id: 'a', score: 1, labels: [] }, { id: 'b', score: 2, labels: [] }] })!.ids // ['b']
 */
export function solvePicks(
  problem: PickProblem,
  { branches = usualBranches }: SolveOptions = {},
): PickSolution | undefined {
  const { count, forced = [], worth = {}, least = {}, most = {} } = problem
  const promise = ({ score, labels }: PickCandidate) =>
    labels.reduce((sum, label) => sum + (worth[label] ?? 0), score) + (labels.some((l) => least[l]) ? 1e6 : 0)
  const order = [...problem.candidates].sort((a, b) => promise(b) - promise(a))
  const must = new Set(forced)
  const best = topScores(order)
  const left = labelsLeft(order)
  const limited = Object.entries(most)
  const wanted = Object.entries(least)
  const worths = Object.entries(worth)

  let found: { picks: PickCandidate[]; score: number } | undefined
  let seen = 0
  const picks: PickCandidate[] = []
  const counts = new Map<string, number>()
  const add = (candidate: PickCandidate, n: 1 | -1) => {
    for (const label of candidate.labels) counts.set(label, (counts.get(label) ?? 0) + n)
  }
  /** The most the remaining candidates can still add. */
  const hope = (at: number) =>
    best(at, count - picks.length) +
    worths.reduce(
      (sum, [label, value]) => sum + (counts.get(label) || (picks.length < count && left[at]!.get(label)) ? value : 0),
      0,
    )
  const canKeep = (at: number) =>
    order.length - at >= count - picks.length &&
    limited.every(([label, n]) => (counts.get(label) ?? 0) <= n) &&
    wanted.every(([label, n]) => {
      const missing = n - (counts.get(label) ?? 0)
      return missing <= count - picks.length && missing <= (left[at]!.get(label) ?? 0)
    })

  const root = hope(0)
  function search(at: number, sum: number): void {
    if (seen++ > (found ? branches : Math.max(branches, usualBranches)) || !canKeep(at)) return
    if (found && sum + hope(at) <= found.score) return
    if (picks.length === count) {
      if (!isAllowed(picks, problem)) return
      const score = pickScore(picks, problem)
      if (!found || score > found.score) found = { picks: [...picks], score }
      return
    }
    const next = order[at]
    if (!next) return
    picks.push(next)
    add(next, 1)
    search(at + 1, sum + next.score)
    picks.pop()
    add(next, -1)
    if (!must.has(next.id)) search(at + 1, sum)
  }
  search(0, 0)
  if (!found) return undefined
  const { score } = found
  const chosen = new Set(found.picks.map((p) => p.id))
  const proven = seen <= branches
  const ids = problem.candidates.flatMap(({ id }) => (chosen.has(id) ? [id] : []))
  return { ids, score, bound: proven ? score : Math.max(score, root), proven }
}

/** The sum of the best scores from a position on, for this many picks. */
function topScores(order: readonly PickCandidate[]): (at: number, n: number) => number {
  const sorted = order.map((_, at) =>
    order
      .slice(at)
      .map((c) => c.score)
      .sort((a, b) => b - a),
  )
  const sums = sorted.map((scores) => {
    let sum = 0
    return [0, ...scores.map((score) => (sum += score))]
  })
  return (at, n) => sums[at]?.[n] ?? 0
}

/** How many candidates from a position on have a label. */
function labelsLeft(order: readonly PickCandidate[]): Map<string, number>[] {
  const left: Map<string, number>[] = [new Map()]
  for (const { labels } of order.toReversed()) {
    const counts = new Map(left[0])
    for (const label of labels) counts.set(label, (counts.get(label) ?? 0) + 1)
    left.unshift(counts)
  }
  return left
}
