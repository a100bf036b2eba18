import { expose } from 'comlink'
import highsLoader, { type Highs } from 'highs'
import wasm from 'highs/runtime?url'
import { planTerm, type Planned, type PlanProblem, type Solved } from '@esfuerzo/core/term'

// Loaded with the first question; its own response alone may compile WebAssembly.
let solver: Promise<Highs> | undefined

/** So many seconds a plan may take for each of its stages. */
const planSeconds = 5

/** @param seconds after which the best so far is the answer */
async function solved(lp: string, seconds?: number): Promise<Solved | undefined> {
  solver ??= highsLoader({ locateFile: () => wasm })
  try {
    const options = { mip_rel_gap: 0, ...(seconds !== undefined && { time_limit: seconds }) }
    const { Status, Columns, ObjectiveValue } = (await solver).solve(lp, options)
    // Out of time without an answer it gives columns all the same, and no value.
    if (Status !== 'Optimal' && !(seconds !== undefined && Number.isFinite(ObjectiveValue))) return undefined
    const columns = Object.fromEntries(Object.entries(Columns).map(([name, { Primal }]) => [name, Number(Primal)]))
    return { columns, proven: Status === 'Optimal' }
  } catch (error) {
    solver = undefined
    throw error
  }
}

/** The solver's one door. */
export const solverDoor = {
  /**
   * Solves a mixed-integer program in LP format.
   *
   * @returns each variable's value by its name; undefined where nothing keeps to every line
   * @throws {Error} what the solver could not read; the next question gets a new one
   */
  solve: async (lp: string): Promise<Solved['columns'] | undefined> => (await solved(lp))?.columns,
  /** A plan for a term; undefined where nothing keeps to what is fixed, or nothing was found in time. */
  plan: (problem: PlanProblem): Promise<Planned | undefined> => planTerm(problem, (lp) => solved(lp, planSeconds)),
}
export type SolverDoor = typeof solverDoor

expose(solverDoor)
