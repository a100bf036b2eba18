import type { Highs } from 'highs'
import type { PickProblem } from '../../src/pick/pickProblem.ts'
import { picksLp, picksOf } from '../../src/pick/picksLp.ts'

/** A problem solved by a package from elsewhere: what its best picks are worth, and which; undefined where there are none. */
export function solvedBy(highs: Highs, problem: PickProblem): { score: number; ids: string[] } | undefined {
  const answer = highs.solve(picksLp(problem), { mip_rel_gap: 0 })
  if (answer.Status !== 'Optimal') return undefined
  return { score: answer.ObjectiveValue, ids: picksOf(problem, (name) => answer.Columns[name]!.Primal) }
}
