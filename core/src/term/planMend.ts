import type { PlanProblem } from './planProblem.ts'
import { comparePlans, planScore, type Plan, type PlanScore } from './planScore.ts'
import { fixedDays, seriesOf, type Series } from './series.ts'

/** A series with the days it changes. */
interface Way extends Series {
  cost: number
}

/** The result of searching all repaired plans. */
export interface Mended {
  plan: Plan
  score: PlanScore
  /** Nothing else was left to search: it is the best plan, not only one with the fewest changes. */
  whole: boolean
}

/** Series placed before a search gives up; ours. */
const mostSteps = 300_000

/**
 * The best plan that changes as few existing days as possible, among those that fill every day. All plans with one change fewer are
 * searched before one more change is allowed.
 *
 * @param problem with the existing plan as `before`
 * @returns undefined if not every day can be filled, or if the step limit is reached
 */
export function planMend(problem: PlanProblem): Mended | undefined {
  const { days, sessions, weeks, free, families, before } = problem
  if (!before) return undefined
  const fixed = fixedDays(problem)
  const changed = (i: number, k: number) => before[i] !== 'gone' && before[i] !== k
  const ways: Way[][] = seriesOf(problem).map((list) =>
    list
      .map((s) => ({ ...s, cost: s.days.filter((i) => changed(i, s.session)).length }))
      .sort((a, b) => a.cost - b.cost),
  )
  const plan = [...fixed]
  const used = new Set<number>()
  let steps = mostSteps
  let best: Omit<Mended, 'whole'> | undefined
  let perfect = false

  const open = (from: number): number => {
    for (let i = from; i < days.length; i++) if (plan[i] === undefined && !free.has(i)) return i
    return days.length
  }
  /** Whether the days before the first open one are already worse than the best plan. */
  const isWorse = (done: number): boolean => {
    if (!best || best.score.families.length < families.length) return false
    const spoilt = best.score.formTwice.length + best.score.strengthNext.length
    let apart = 0
    for (let i = 0; i + 1 < done; i++) {
      const [a, b] = [plan[i], plan[i + 1]]
      if (a === undefined || b === undefined) continue
      const [one, next] = [sessions[a]!, sessions[b]!]
      if (a !== b && one.form !== undefined && one.form === next.form) apart++
      if (one.strength && next.strength && days[i + 1]!.number - days[i]!.number === 1) apart++
    }
    if (apart !== spoilt) return apart > spoilt
    let uneven = 0
    for (const { days: own, from, to } of weeks) {
      if (own.some((i) => i >= done)) continue
      const minutes = own.reduce((sum, i) => sum + (plan[i] === undefined ? 0 : sessions[plan[i]]!.load), 0)
      uneven += Math.max(0, minutes - to, from - minutes)
    }
    return uneven >= best.score.uneven
  }
  const end = (): void => {
    const score = planScore(problem, plan)
    if (!score.kept || (best && comparePlans(score, best.score) <= 0)) return
    best = { plan: [...plan], score }
    const goals = score.formTwice.length + score.strengthNext.length + score.uneven
    perfect = score.families.length === families.length && goals === 0
  }
  const step = (from: number, left: number): void => {
    const first = open(from)
    if (first === days.length) return left === 0 ? end() : undefined
    if (isWorse(first)) return
    for (const { session, days: own, cost } of ways[first]!) {
      if (cost > left || perfect || steps <= 0) return
      if (used.has(session) || own.some((i) => plan[i] !== undefined)) continue
      steps--
      for (const i of own) plan[i] = session
      used.add(session)
      step(first + 1, left - cost)
      for (const i of own) plan[i] = undefined
      used.delete(session)
    }
  }
  for (let changes = 0; changes <= days.length && !best && steps > 0; changes++) step(0, changes)
  return best && { ...best, whole: perfect || steps > 0 }
}
