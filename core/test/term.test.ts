import { DateTime } from 'luxon'
import fc from 'fast-check'
import highsLoader, { type Highs } from 'highs'
import { beforeAll, describe, expect, it } from 'vitest'
import { dateOf, dayNumber, planTerm, weekdayOf, type Solved } from '@esfuerzo/core/term'
import { planProblem } from '../src/term/planProblem.ts'
import { planFrom, planLp } from '../src/term/planLp.ts'
import { goalsOf, planScore } from '../src/term/planScore.ts'
import { samples } from './support/samples.ts'
import { bestOfAll, largeTerm, mendedTerm, smallTerms } from './support/termPlans.ts'

let highs: Highs
beforeAll(async () => void (highs = await highsLoader()))
const solve = async (lp: string): Promise<Solved | undefined> => {
  const { Status, Columns } = highs.solve(lp, { mip_rel_gap: 0 })
  if (Status !== 'Optimal') return undefined
  return { columns: Object.fromEntries(Object.entries(Columns).map(([name, c]) => [name, c.Primal])), proven: true }
}

it('dates are counted as a calendar package counts them, over leap years and centuries', () => {
  fc.assert(
    fc.property(fc.integer({ min: -800_000, max: 200_000 }), (day) => {
      const there = DateTime.fromMillis(day * 86_400_000, { zone: 'utc' })
      fc.pre(there.year >= 1)
      expect([dateOf(day), dayNumber(dateOf(day)), weekdayOf(dateOf(day))]).toEqual([
        there.toISODate(),
        day,
        there.weekday,
      ])
    }),
    { numRuns: samples(150, 20_000) },
  )
})

describe('a plan', () => {
  it('is the best of all plans, goal by goal', async () => {
    await fc.assert(
      fc.asyncProperty(smallTerms, async ({ term, known, mend }) => {
        const problem = planProblem(term, known, { mend })
        fc.pre((problem.sessions.length + 1) ** problem.days.length <= 70_000)
        const best = bestOfAll(problem)
        const planned = await planTerm(problem, solve)
        expect(planned && goalsOf(planned.score)).toEqual(best && goalsOf(best))
        if (planned) expect([planned.score.kept, planned.proven]).toEqual([true, true])
      }),
      { numRuns: samples(20, 1500) },
    )
  })

  // One instance takes seven seconds; brute force above checks the same goals on small terms.
  it.runIf(process.env.VERIFY)(
    'of twelve weeks equals the solver’s after removing a session and a day: no fewer days change, none is better',
    async () => {
      for (const seed of Array.from({ length: 20 }, (_, i) => i + 1)) {
        const { term, known } = largeTerm(seed)
        const problem = planProblem(term, known)
        const { plan } = (await planTerm(problem, solve))!
        const mend = planProblem(mendedTerm(term, problem, plan), known, { mend: true })
        const planned = (await planTerm(mend, solve))!
        const first = (await solve(planLp(mend)))!
        const reached = planScore(
          mend,
          planFrom(mend, (name) => first.columns[name] ?? 0),
        )
        const second = (await solve(planLp(mend, reached)))!
        expect(goalsOf(planned.score)).toEqual(
          goalsOf(
            planScore(
              mend,
              planFrom(mend, (name) => second.columns[name] ?? 0),
            ),
          ),
        )
        expect([planned.score.kept, planned.proven]).toEqual([true, true])
      }
    },
    900_000,
  )
})
