import fc from 'fast-check'
import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { isAllowed, pickScore, type PickProblem } from '../src/pick/pickProblem.ts'
import { solvePicks } from '../src/pick/solvePicks.ts'
import { samples } from './support/samples.ts'
import { solvedBy } from './support/solvedBy.ts'

const labels = ['legs', 'core', 'arms', 'new', 'jump']
const problemOf = (most: number) =>
  fc
    .record({
      candidates: fc.array(
        fc.record({ score: fc.integer({ min: -20, max: 60 }), labels: fc.uniqueArray(fc.constantFrom(...labels)) }),
        { minLength: 1, maxLength: most },
      ),
      count: fc.integer({ min: 1, max: 6 }),
      worth: fc.dictionary(fc.constantFrom(...labels), fc.integer({ min: 0, max: 40 })),
      least: fc.dictionary(fc.constantFrom(...labels), fc.integer({ min: 0, max: 2 })),
      most: fc.dictionary(fc.constantFrom(...labels), fc.integer({ min: 0, max: 3 })),
      force: fc.boolean(),
    })
    .map(({ candidates, force, ...rest }): PickProblem => ({
      ...rest,
      candidates: candidates.map((c, i) => ({ ...c, id: `m${i}` })),
      forced: force ? ['m0'] : [],
    }))

/** Tries every possible pick. */
function bruteForce(problem: PickProblem): number | undefined {
  let best: number | undefined
  const { candidates } = problem
  for (let set = 0; set < 2 ** candidates.length; set++) {
    const picks = candidates.filter((_, i) => set & (1 << i))
    if (!isAllowed(picks, problem)) continue
    const score = pickScore(picks, problem)
    if (best === undefined || score > best) best = score
  }
  return best
}

describe('the best picks of a list', () => {
  it('equal those of exhaustive search', () => {
    fc.assert(
      fc.property(problemOf(10), (problem) => {
        const solution = solvePicks(problem)
        expect(solution?.score).toBe(bruteForce(problem))
        if (!solution) return
        const picks = problem.candidates.filter((c) => solution.ids.includes(c.id))
        expect(isAllowed(picks, problem)).toBe(true)
        expect(solution).toMatchObject({ proven: true, bound: solution.score, score: pickScore(picks, problem) })
      }),
      { numRuns: samples(120, 3000) },
    )
  })

  it('are worth what an independent solver finds, on lists as long as a session’s', async () => {
    const highs = await highsLoader()
    for (const problem of fc.sample(problemOf(25), { numRuns: samples(25, 600), seed: 7 })) {
      const answer = solvedBy(highs, problem)
      const solution = solvePicks(problem, { branches: Infinity })
      expect(answer !== undefined).toBe(solution !== undefined)
      if (!solution || !answer) continue
      expect(solution.score).toBeCloseTo(answer.score, 6)
      const { ids } = answer
      const picks = problem.candidates.filter((c) => ids.includes(c.id))
      expect(isAllowed(picks, problem)).toBe(true)
      expect(pickScore(picks, problem)).toBe(solution.score)
    }
  })

  it('are valid when stopped early, with an upper bound', () => {
    const candidates = Array.from({ length: 25 }, (_, i) => ({ id: `m${i}`, score: (i * 7) % 13, labels: [] }))
    const cut = solvePicks({ count: 6, candidates }, { branches: 8 })!
    expect(cut.ids).toHaveLength(6)
    expect(cut.proven).toBe(false)
    expect(cut.bound).toBeGreaterThanOrEqual(solvePicks({ count: 6, candidates })!.score)
  })
})
