import type { FitBlock, FitLane, FitProblem, Passage } from './fitProblem.ts'

/**
 * The shortest and longest seconds each lane can reach, whatever the cost and regardless of the others.
 *
 * @example one block of 100 s that may be 80 s: [[80, 100]]
 */
export function reach({ blocks, lanes, states }: FitProblem): [least: number, most: number][] {
  return Array.from({ length: lanes }, (_, g) => {
    let ends: ([number, number] | undefined)[] = Array.from({ length: states }, (_, e) =>
      e === 0 ? [0, 0] : undefined,
    )
    for (const block of blocks) {
      const next: typeof ends = Array.from({ length: states }, () => undefined)
      for (const passage of passagesOf(block, block.lanes[g]!)) {
        for (const [e, end] of ends.entries()) {
          const way = passage[e]
          if (!end || !way) continue
          const [least, most] = [end[0] + way.seconds, end[1] + way.seconds]
          const there = next[way.exit]
          next[way.exit] = there ? [Math.min(there[0], least), Math.max(there[1], most)] : [least, most]
        }
      }
      ends = next
    }
    const all = ends.filter((end) => end !== undefined)
    return [Math.min(...all.map(([least]) => least)), Math.max(...all.map(([, most]) => most))]
  })
}

function* passagesOf(block: FitBlock, lane: FitLane): Generator<Passage> {
  for (const passage of lane.follow) if (passage) yield passage
  const variants = new Set(block.shared.map((s) => s.variant))
  for (const v of variants) for (const { passage } of lane.own[v] ?? []) yield passage
}
