import { wrap, type Remote } from 'comlink'
import type { SolverDoor } from './solver.worker.ts'
import SolverWorker from './solver.worker.ts?worker'

let remote: Remote<SolverDoor> | undefined

/**
 * Solves a mixed-integer program in LP format, in a worker of its own.
 *
 * @returns each variable's value by its name; undefined where nothing keeps to every line
 */
export const solve = (lp: string): Promise<Record<string, number> | undefined> => {
  remote ??= wrap<SolverDoor>(new SolverWorker({ name: 'esfuerzo-solver' }))
  return remote.solve(lp)
}
