import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { solveFit } from '../src/fit/solveFit.ts'
import { samples } from './support/samples.ts'
import { bruteFit, fitHolds, fitLp, randomFit } from './support/fitInstances.ts'

/** How many instances the solver package is asked: a dozen here, hundreds in `npm run verify`. */
const instances = samples(6, 300)

describe('the exact fit', () => {
  it('finds the optimum of brute force on 400 small random instances', () => {
    let fitting = 0
    for (let seed = 1; seed <= 400; seed++) {
      const problem = randomFit(seed, { blocks: 1 + (seed % 3), lanes: 1 + (seed % 4), states: 1 + (seed % 3) })
      const solution = solveFit(problem)
      expect(solution?.cost, `seed ${seed}`).toBe(bruteFit(problem))
      if (!solution) continue
      fitting++
      expect(solution.proven).toBe(true)
      expect(fitHolds(problem, solution), `seed ${seed}`).toBe(true)
    }
    // Both outcomes occur often enough for this test to mean something.
    expect(fitting).toBeGreaterThan(150)
    expect(fitting).toBeLessThan(390)
  })

  it(`finds the optimum of a MIP solver package on ${instances} larger ones`, async () => {
    const highs = await highsLoader()
    for (let seed = 1; seed <= instances; seed++) {
      const problem = randomFit(1000 + seed, { blocks: 4, lanes: 3, settings: 7 })
      const answer = highs.solve(fitLp(problem), { mip_rel_gap: 0 })
      const expected = answer.Status === 'Optimal' ? Math.round(answer.ObjectiveValue) : undefined
      expect(solveFit(problem)?.cost, `seed ${1000 + seed}`).toBe(expected)
    }
  })

  it('finds nothing as expensive as the forbidden cost, and reports a search that was cut short', () => {
    const problem = randomFit(1007, { blocks: 4, lanes: 3, settings: 7 })
    const best = solveFit(problem)!
    expect(solveFit(problem, { below: best.cost })).toBeUndefined()
    expect(solveFit(problem, { below: best.cost + 1 })?.cost).toBe(best.cost)
    expect(solveFit(problem, { branches: 2 })?.proven ?? false).toBe(false)
  })
})
