import type { Move } from '../terms/move.ts'
import { isHard } from './hardWork.ts'
import { limit } from './limits.ts'
import type { CheckedStep, CheckView } from './view.ts'

/** Muscles with their seconds of main work in the lane where they work longest, the longest first. */
export function longestWorked({ lanes }: CheckView, counts: (step: CheckedStep) => boolean): [string, number][] {
  const most = new Map<string, number>()
  for (const { steps } of lanes) {
    const moves = new Map<Move, number>()
    for (const step of steps)
      if (step.kind === 'work' && step.doing && counts(step))
        moves.set(step.doing.move, (moves.get(step.doing.move) ?? 0) + step.seconds.typical)
    const own = new Map<string, number>()
    for (const [move, seconds] of moves) for (const id of move.muscles.main) own.set(id, (own.get(id) ?? 0) + seconds)
    for (const [id, seconds] of own) most.set(id, Math.max(most.get(id) ?? 0, seconds))
  }
  return [...most].filter(([, seconds]) => seconds >= limit('muscleWorked', 0)).sort((a, b) => b[1] - a[1])
}

/** The muscles a session trains, the longest worked first. Marching in a warm-up calls for no stretch. */
export function longestInWork(view: CheckView): [string, number][] {
  const around = ['warmUp', 'coolDown']
  const asks = new Set(view.session.sections.filter(({ role }) => !around.includes(role)).map(({ id }) => id))
  return longestWorked(view, ({ section }) => asks.has(section))
}

/** Muscles that move before the first hard work of any lane. */
export function warmed({ lanes }: CheckView): Set<string> {
  const moves = new Set<Move>()
  for (const { steps } of lanes)
    for (const step of steps) {
      if (isHard(step)) break
      if (step.doing && step.kind === 'work') moves.add(step.doing.move)
    }
  return new Set([...moves].flatMap(({ muscles, stretches = [] }) => [...muscles.main, ...muscles.also, ...stretches]))
}

/** Muscles that are stretched anywhere in the session. */
export const stretched = ({ cells }: CheckView): Set<string> =>
  new Set(cells.flatMap(({ move }) => move.stretches ?? []))

/** The names of muscles, joined into one fact. */
export const muscleNames = (ids: readonly string[], { library }: CheckView): string =>
  ids.map((id) => library.muscles.get(id)?.name ?? id).join(' + ')
