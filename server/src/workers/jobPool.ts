import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { Piscina } from 'piscina'
import { ProblemError } from '@esfuerzo/core'
import { ServerError } from '../http/serverError.ts'
import type { JobOutcome, Task } from './worker.ts'
import type { JobName, Jobs } from './jobs.ts'

/** Limits of one job (ours): any session takes a fraction of them. */
const bounds = {
  /** Heap limit of one worker, in MiB. */
  memory: 256,
  /** Pieces that wait. */
  queue: 200,
  /** Jobs of one owner that wait or run: a link is shared by a whole class. */
  eachOwner: { snapshot: 3, draftSheet: 8, lookSheet: 8, columns: 8, pace: 4, minutes: 4, slips: 4, sentSheet: 16 },
}

/** Runs long work, so that nobody waits for somebody else's. */
export interface JobPool {
  /**
   * @param owner whose work it is: a teacher's or a link's id. Nobody has more than a few jobs in the queue
   * @throws {ProblemError} as the job does
   * @throws {ServerError} `busy` if others are ahead of it for too long, `too-many-tries` if the owner's own are, `too-dear` if it takes
   *   more time or memory than any session needs
   */
  run: <N extends JobName>(name: N, asked: Jobs[N]['asked'], owner: string) => Promise<Jobs[N]['answer']>
  /** How many jobs are waiting, and how many are running. */
  load: () => { waiting: number; running: number }
  close: () => Promise<void>
}

/** Beside the code: the TypeScript source, or the built file. */
const isSource = import.meta.url.endsWith('.ts')
const filename = fileURLToPath(new URL(isSource ? './worker.ts' : './worker.js', import.meta.url))

/**
 * Threads are started when first needed; one core is left for requests.
 *
 * @param seconds from requesting a job to its answer
 */
export function openJobPool(seconds: number): JobPool {
  const pool = new Piscina({
    filename,
    ...(isSource && { execArgv: ['--import', 'tsx'] }),
    minThreads: 0,
    maxThreads: Math.max(1, Math.min(4, availableParallelism() - 1)),
    idleTimeout: 5 * 60_000,
    maxQueue: bounds.queue,
    resourceLimits: { maxOldGenerationSizeMb: bounds.memory },
  })
  const waiting = new Map<string, number>()
  const count = (owner: string, by: number) => {
    const n = (waiting.get(owner) ?? 0) + by
    if (n > 0) waiting.set(owner, n)
    else waiting.delete(owner)
  }
  return {
    async run<N extends JobName>(name: N, asked: Jobs[N]['asked'], owner: string) {
      if ((waiting.get(owner) ?? 0) >= bounds.eachOwner[name]) throw new ServerError('too-many-tries')
      count(owner, 1)
      const begun = new Int32Array(new SharedArrayBuffer(4))
      const task: Task<N> = { name, asked, begun }
      try {
        const outcome = (await pool.run(task, { signal: AbortSignal.timeout(seconds * 1000) })) as JobOutcome<N>
        if ('problems' in outcome) throw new ProblemError(outcome.problems)
        return outcome.answer
      } catch (error) {
        throw refusalOf(error, Atomics.load(begun, 0) === 1) ?? error
      } finally {
        count(owner, -1)
      }
    },
    load: () => {
      const asked = [...waiting.values()].reduce((sum, n) => sum + n, 0)
      return { waiting: pool.queueSize, running: asked - pool.queueSize }
    },
    close: () => pool.close({ force: true }),
  }
}

/** What a pool's own error means for the job; undefined if the job itself failed. */
function refusalOf(error: unknown, begun: boolean): ServerError | undefined {
  const { name, code, message } = error as { name?: string; code?: string; message?: string }
  if (code === 'ERR_WORKER_OUT_OF_MEMORY') return new ServerError('too-dear', [], error)
  if (name === 'AbortError') return new ServerError(begun ? 'too-dear' : 'busy', [], error)
  if (message === 'Task queue is at limit') return new ServerError('busy', [], error)
  return undefined
}
