import { expose } from 'comlink'
import highsLoader, { type Highs } from 'highs'
import wasm from 'highs/runtime?url'
import { planTerm, type Planned, type PlanProblem, type Solved } from '@esfuerzo/core/term'

// Loaded with the first question; only its own response may compile WebAssembly.
let solver: Promise<Highs> | undefined

/** The time limit in seconds for each stage of a plan. */
const planSeconds = 5

/** Solves a mixed-integer program in LP format; out of time, the best so far is the answer. */
async function solved(lp: string): Promise<Solved | undefined> {
  solver ??= highsLoader({ locateFile: () => wasm })
  try {
    const { Status, Columns, ObjectiveValue } = (await solver).solve(lp, { mip_rel_gap: 0, time_limit: planSeconds })
    // If time runs out without an answer, it still returns columns, but no value.
    if (Status !== 'Optimal' && !Number.isFinite(ObjectiveValue)) return undefined
    const columns = Object.fromEntries(Object.entries(Columns).map(([name, { Primal }]) => [name, Number(Primal)]))
    return { columns, proven: Status === 'Optimal' }
  } catch (error) {
    solver = undefined
    throw error
  }
}

/** The solver's one door. */
export const solverDoor = {
  /** A plan for a term; undefined if the fixed places contradict each other, or none was found in time. */
  plan: (problem: PlanProblem): Promise<Planned | undefined> => planTerm(problem, solved),
}
export type SolverDoor = typeof solverDoor

expose(solverDoor)
