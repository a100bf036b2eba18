import type { Family } from '../terms/move.ts'
import { familyWithin, isSeries, type PlanProblem } from './planProblem.ts'

/** A session by its index for each day; undefined for none. */
export type Plan = readonly (number | undefined)[]

/** How good a plan is, goal by goal, each more important than all that follow. */
export interface PlanScore {
  /** Every session in series, on days free for it; fixed ones in place. */
  kept: boolean
  /** Days with a session. */
  filled: number
  /** Days that differ from before; 0 if there was nothing before. */
  changes: number
  /** Families that come twice, the second time soon enough. */
  families: Family[]
  /** Pairs of neighboring days, by the first: different sessions of one form; strength on two consecutive calendar days. */
  formTwice: number[]
  strengthNext: number[]
  /** Weeks with too many or too few minutes, the deviations, and their sum. */
  unevenWeeks: number[]
  uneven: number
}

const daysOf = (plan: Plan, session: number): number[] => [...plan.keys()].filter((i) => plan[i] === session)

function isKept({ days, sessions, free, calm }: PlanProblem, plan: Plan): boolean {
  return sessions.every(({ fixed, only, hard }, k) => {
    const own = daysOf(plan, k)
    if (!fixed.every((i) => own.includes(i))) return false
    if (only) return own.length === fixed.length
    const barred = own.some((i) => !fixed.includes(i) && (free.has(i) || (hard && calm.has(i))))
    return !barred && (own.length === 0 || isSeries(own.map((i) => days[i]!.number)))
  })
}

/** Whether a family comes twice, the second time within three weeks of the first. */
function comesAgain({ days, sessions }: PlanProblem, plan: Plan, family: Family): boolean {
  const own = [...plan.keys()].filter((i) => plan[i] !== undefined && sessions[plan[i]]!.families.includes(family))
  return own.length >= 2 && days[own[1]!]!.number - days[own[0]!]!.number <= familyWithin
}

/**
 * How good a plan is.
 *
 * @example planScore(problem, problem.days.map(() => undefined)).filled // 0
 */
export function planScore(problem: PlanProblem, plan: Plan): PlanScore {
  const { days, sessions, families, weeks, before } = problem
  const at = (i: number) => (plan[i] === undefined ? undefined : sessions[plan[i]])
  const pairs = [...days.keys()].slice(0, -1).filter((i) => at(i) && at(i + 1))
  const off = weeks.map(({ days: own, from, to }) => {
    const minutes = own.reduce((sum, i) => sum + (at(i)?.load ?? 0), 0)
    return Math.max(0, minutes - to, from - minutes)
  })
  const changed = (i: number) => before![i] !== 'gone' && before![i] !== (plan[i] ?? 'empty')
  return {
    kept: isKept(problem, plan),
    filled: plan.filter((k) => k !== undefined).length,
    changes: before ? [...days.keys()].filter(changed).length : 0,
    families: families.filter((family) => comesAgain(problem, plan, family)),
    formTwice: pairs.filter((i) => at(i) !== at(i + 1) && at(i)!.form !== undefined && at(i)!.form === at(i + 1)!.form),
    strengthNext: pairs.filter(
      (i) => days[i + 1]!.number - days[i]!.number === 1 && at(i)!.strength && at(i + 1)!.strength,
    ),
    unevenWeeks: [...off.keys()].filter((w) => off[w]! > 0),
    uneven: off.reduce((a, b) => a + b, 0),
  }
}

/** The goals as numbers, the most important first; higher is better. */
export const goalsOf = (score: PlanScore): number[] => [
  score.filled,
  -score.changes,
  score.families.length,
  -(score.formTwice.length + score.strengthNext.length),
  -score.uneven,
]

/** Which of two plans is better. @returns more than 0 if the first is, the reverse of sorting */
export function comparePlans(a: PlanScore, b: PlanScore): number {
  if (a.kept !== b.kept) return a.kept ? 1 : -1
  const [x, y] = [goalsOf(a), goalsOf(b)]
  const i = x.findIndex((value, at) => value !== y[at])
  return i < 0 ? 0 : x[i]! - y[i]!
}
