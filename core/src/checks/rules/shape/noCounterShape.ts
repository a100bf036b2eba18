import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'
import type { CheckedLane } from '../../view.ts'

/** Seconds of each exercise that has a counter-position. */
function shapes({ steps }: CheckedLane): Map<string, { seconds: number; counters: readonly string[]; name: string }> {
  const sums = new Map<string, { seconds: number; counters: readonly string[]; name: string }>()
  for (const { doing, kind, seconds } of steps) {
    if (kind !== 'work' || !doing?.move.counters) continue
    const before = sums.get(doing.move.id)?.seconds ?? 0
    sums.set(doing.move.id, { seconds: before + seconds.typical, counters: doing.move.counters, name: doing.move.name })
  }
  return sums
}

/** A minute and more bent one way, without a bend the other way. */
export const noCounterShape: Rule = {
  id: 'no-counter-shape',
  level: 'note',
  family: 'shape',
  find: (view) =>
    perLane(view, (lane) => {
      const bent = shapes(lane)
      if (!bent.size) return undefined
      const done = new Set(lane.steps.map((s) => s.doing?.move.id))
      const long = [...bent.values()].find(
        ({ seconds, counters }) => seconds > limit('counterFrom', lane.band) && !counters.some((id) => done.has(id)),
      )
      if (!long) return undefined
      const counter = view.library.moves.get(long.counters[0]!)?.name ?? ''
      return { facts: { move: long.name, seconds: Math.round(long.seconds), counter } }
    }),
}
