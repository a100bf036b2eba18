import { hardSteps } from './hardWork.ts'
import { limit } from './limits.ts'
import type { CheckedStep, CheckView } from './view.ts'

/** Muscles with the seconds the lane in which they work longest works them as main ones, the longest first. */
export function longestWorked({ lanes }: CheckView, counts: (step: CheckedStep) => boolean): [string, number][] {
  const most = new Map<string, number>()
  for (const { steps } of lanes) {
    const own = new Map<string, number>()
    for (const step of steps)
      if (step.kind === 'work' && step.doing && counts(step))
        for (const id of step.doing.move.muscles.main) own.set(id, (own.get(id) ?? 0) + step.seconds.typical)
    for (const [id, seconds] of own) most.set(id, Math.max(most.get(id) ?? 0, seconds))
  }
  return [...most].filter(([, seconds]) => seconds >= limit('muscleWorked', 0)).sort((a, b) => b[1] - a[1])
}

/** Muscles that are moved before the first hard work of any lane. */
export function warmed(view: CheckView): Set<string> {
  const ids = new Set<string>()
  for (const lane of view.lanes) {
    const first = hardSteps(lane)[0]?.at ?? Infinity
    for (const { doing, at, kind } of lane.steps)
      if (doing && kind === 'work' && at < first)
        for (const id of [...doing.move.muscles.main, ...doing.move.muscles.also, ...(doing.move.stretches ?? [])])
          ids.add(id)
  }
  return ids
}

/** Muscles that are stretched somewhere in the session. */
export const stretched = (view: CheckView): Set<string> =>
  new Set(view.lanes.flatMap(({ steps }) => steps.flatMap((s) => s.doing?.move.stretches ?? [])))

/** The names of muscles, in one fact. */
export const muscleNames = (ids: readonly string[], { library }: CheckView): string =>
  ids.map((id) => library.muscles.get(id)?.name ?? id).join(' + ')
