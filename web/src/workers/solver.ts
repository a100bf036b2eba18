import { releaseProxy, wrap, type Remote } from 'comlink'
import type { Planned, PlanProblem } from '@esfuerzo/core/term'
import type { SolverDoor } from './solver.worker.ts'
import SolverWorker from './solver.worker.ts?worker'

interface Hand {
  thread: Worker
  remote: Remote<SolverDoor>
}
let hand: Hand | undefined
const open = (): Hand => {
  if (hand) return hand
  const thread = new SolverWorker({ name: 'esfuerzo-solver' })
  return (hand = { thread, remote: wrap<SolverDoor>(thread) })
}

/**
 * A plan for a term, in a worker of its own.
 *
 * @param signal aborting ends the worker, whatever it is doing
 * @returns undefined if the fixed places contradict each other, or no plan was found in time
 * @throws {DOMException} `AbortError` when it was cancelled
 */
export async function plan(problem: PlanProblem, signal: AbortSignal): Promise<Planned | undefined> {
  signal.throwIfAborted()
  const mine = open()
  const left = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => {
      if (hand === mine) hand = undefined
      mine.remote[releaseProxy]()
      mine.thread.terminate()
      reject(signal.reason as Error)
    })
  })
  return Promise.race([mine.remote.plan(problem), left])
}
