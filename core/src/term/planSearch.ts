import { seededRandom } from '../distribution/seededRandom.ts'
import type { Family } from '../terms/move.ts'
import { most, type PlanProblem } from './planProblem.ts'
import { planScore, type Plan } from './planScore.ts'
import { fixedDays, seriesOf, type Series } from './series.ts'

/** Steps of a search, and how often it restarts in another order; ours. */
const [mostSteps, tries] = [4000, 12]

/** The score of a perfect plan. */
export interface Perfect {
  filled: number
  families: readonly Family[]
}

/**
 * Looks for a perfect plan: every day filled, every family, no form twice in a row, strength days apart, weeks even. The first open day is
 * filled by a series that starts there, then the next; on a dead end the last choice is undone.
 *
 * @returns undefined if none is found soon: there may be none
 */
export function planSearch(problem: PlanProblem, perfect: Perfect): Plan | undefined {
  const { days, sessions, weeks, free } = problem
  const byFirst = seriesOf(problem)
  const fixedPlan = fixedDays(problem)
  const open = (plan: Plan, from: number) => {
    for (let i = from; i < days.length; i++) if (plan[i] === undefined && !free.has(i)) return i
    return days.length
  }
  const clashes = (plan: Plan, i: number, k: number): boolean => {
    const [mine, other] = [sessions[k]!, plan[i] === undefined ? undefined : sessions[plan[i]]]
    return other !== undefined && other !== mine && mine.form !== undefined && other.form === mine.form
  }
  const strongNext = (plan: Plan, i: number, j: number, k: number): boolean =>
    Math.abs((days[i]?.number ?? Infinity) - (days[j]?.number ?? -Infinity)) === 1 &&
    sessions[k]!.strength &&
    plan[j] !== undefined &&
    sessions[plan[j]]!.strength
  const fits = (plan: Plan, { session, days: own }: Series): boolean =>
    own.every(
      (i) =>
        plan[i] === undefined &&
        [i - 1, i + 1].every((j) => !clashes(plan, j, session) && !strongNext(plan, i, j, session)),
    )
  const even = (plan: Plan, done: number): boolean =>
    weeks.every(({ days: own, from, to }) => {
      const minutes = own.reduce((sum, i) => sum + (plan[i] === undefined ? 0 : sessions[plan[i]]!.load), 0)
      return minutes <= to && (own.at(-1)! >= done || minutes >= from)
    })

  for (let n = 0; n < tries; n++) {
    const random = seededRandom(n + 1)
    const plan: (number | undefined)[] = [...fixedPlan]
    const used = new Set<number>()
    let steps = mostSteps
    const step = (from: number): boolean => {
      const first = open(plan, from)
      if (first === days.length) {
        const score = planScore(problem, plan)
        const whole = score.filled >= perfect.filled && score.families.length === perfect.families.length
        return score.kept && whole && score.formTwice.length + score.strengthNext.length + score.uneven === 0
      }
      const met = new Set([...used].flatMap((k) => sessions[k]!.families))
      const gain = ({ session }: Series) => sessions[session]!.families.filter((f) => !met.has(f)).length
      const ways = byFirst[first]!.filter((s) => !used.has(s.session) && fits(plan, s))
        .map((series) => ({ series, worth: gain(series) + (series.days.length === most ? 0.5 : 0) + random() }))
        .sort((a, b) => b.worth - a.worth)
      for (const { series } of ways) {
        if (steps-- <= 0) return false
        for (const i of series.days) plan[i] = series.session
        used.add(series.session)
        if (even(plan, open(plan, first)) && step(first + 1)) return true
        for (const i of series.days) plan[i] = undefined
        used.delete(series.session)
      }
      return false
    }
    if (step(0)) return plan
  }
  return undefined
}
