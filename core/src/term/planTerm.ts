import { planFrom, planLp } from './planLp.ts'
import { planMend } from './planMend.ts'
import type { PlanProblem } from './planProblem.ts'
import { planSearch, type Perfect } from './planSearch.ts'
import { planScore, type Plan, type PlanScore } from './planScore.ts'

/** A solver's answer: each variable's value by name, and whether it is proven best. */
export interface Solved {
  columns: Readonly<Record<string, number>>
  proven: boolean
}

/** A plan with its score. */
export interface Planned {
  plan: Plan
  score: PlanScore
  /** Both stages were proven best; otherwise a better one may exist. */
  proven: boolean
}

/** The upper bound of any plan: every open day filled, every family that one of the sessions has. */
function bounds({ days, sessions, free, families }: PlanProblem): Perfect {
  const fixed = new Set(sessions.filter((s) => s.only).flatMap((s) => s.fixed))
  return {
    filled: [...days.keys()].filter((i) => fixed.has(i) || !free.has(i)).length,
    families: families.filter((family) => sessions.some((s) => s.families.includes(family))),
  }
}

/**
 * An optimal plan for a term. A perfect plan is usually found by search; otherwise a solver finds the best: days, changes and families
 * first, then forms and evenness.
 *
 * @param solve solves a mixed-integer program in LP format; returns undefined if there is no solution, or none was found in time
 * @returns undefined if the fixed places contradict each other, or no plan was found in time
 */
export async function planTerm(
  problem: PlanProblem,
  solve: (lp: string) => Promise<Solved | undefined>,
): Promise<Planned | undefined> {
  const planned = (plan: Plan, proven: boolean): Planned => ({ plan, score: planScore(problem, plan), proven })
  const read = ({ columns }: Solved): Plan => planFrom(problem, (name) => columns[name] ?? 0)
  const perfect = bounds(problem)
  const found = problem.before ? undefined : planSearch(problem, perfect)
  if (found) return planned(found, true)
  const mended = planMend(problem)
  if (mended?.whole) return planned(mended.plan, true)
  if (mended?.score.families.length === perfect.families.length) {
    const even = await solve(planLp(problem, mended.score))
    return even ? planned(read(even), even.proven) : planned(mended.plan, false)
  }
  const first = await solve(planLp(problem))
  if (!first) return undefined
  const best = planned(read(first), false)
  const second = await solve(planLp(problem, best.score))
  return second ? planned(read(second), first.proven && second.proven) : best
}
