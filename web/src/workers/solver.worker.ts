import { expose } from 'comlink'
import highsLoader, { type Highs } from 'highs'
import wasm from 'highs/runtime?url'

// Loaded with the first question; its own response alone may compile WebAssembly.
let solver: Promise<Highs> | undefined

/** The solver's one door. */
export const solverDoor = {
  /**
   * Solves a mixed-integer program in LP format.
   *
   * @returns each variable's value by its name; undefined where nothing keeps to every line
   * @throws {Error} what the solver could not read; the next question gets a new one
   */
  async solve(lp: string): Promise<Record<string, number> | undefined> {
    solver ??= highsLoader({ locateFile: () => wasm })
    try {
      const { Status, Columns } = (await solver).solve(lp, { mip_rel_gap: 0 })
      if (Status !== 'Optimal') return undefined
      return Object.fromEntries(Object.entries(Columns).map(([name, { Primal }]) => [name, Number(Primal)]))
    } catch (error) {
      solver = undefined
      throw error
    }
  },
}
export type SolverDoor = typeof solverDoor

expose(solverDoor)
