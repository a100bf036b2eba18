import { proxy, releaseProxy, wrap, type Remote } from 'comlink'
import { ProblemError, type Session } from '@esfuerzo/core'
import type { Door } from './core.worker.ts'
import type { JobName, Jobs } from './jobs.ts'

/** What the queue needs of a worker: the browser's, or a mock in tests. */
export type Thread = Parameters<typeof wrap>[0] & { terminate(): void; onerror?: unknown }

export interface RunOptions {
  /** Aborting ends the worker, whatever it is doing. */
  signal?: AbortSignal
  /** Share of the work done, 0 to 1. */
  onProgress?: (share: number) => void
}

export interface JobDoor {
  /**
   * Runs a job on a session in a worker.
   *
   * @throws {ProblemError} the problems found in the session
   * @throws {DOMException} `AbortError` if it was cancelled
   */
  run: <N extends JobName>(
    name: N,
    session: Session,
    asked: Jobs[N]['asked'],
    options?: RunOptions,
  ) => Promise<Jobs[N]['answer']>
  /** Starts a spare worker, so that the next job begins at once. */
  warm: () => void
  /** Ends every worker. */
  close: () => void
}

interface Hand {
  thread: Thread
  remote: Remote<Door>
}

/** The only way from the page to heavy work. @param makeThread starts a worker that exposes {@link Door} */
export function jobDoor(makeThread: () => Thread): JobDoor {
  /** Idle workers, the most recently used on top. */
  const idle: Hand[] = []
  const busy = new Set<Hand>()
  const make = (): Hand => {
    const thread = makeThread()
    return { thread, remote: wrap<Door>(thread) }
  }
  const end = (hand: Hand) => {
    if (idle.includes(hand)) idle.splice(idle.indexOf(hand), 1)
    else if (!busy.delete(hand)) return
    hand.remote[releaseProxy]()
    hand.thread.terminate()
  }

  return {
    async run(name, session, asked, { signal, onProgress } = {}) {
      signal?.throwIfAborted()
      const hand = idle.pop() ?? make()
      // A spare one is started while this one works, so that the job after a cancelled one begins at once.
      if (!idle.length) idle.push(make())
      busy.add(hand)
      let onAbort = () => {}
      const left = new Promise<never>((_, reject) => {
        onAbort = () => {
          end(hand)
          reject(signal!.reason as Error)
        }
        signal?.addEventListener('abort', onAbort)
        Object.assign(hand.thread, {
          onerror: (event: { message?: string }) => reject(new Error(event.message ?? 'the worker did not start')),
        })
      })
      try {
        const report = proxy((share: number) => {
          if (busy.has(hand)) onProgress?.(share)
        })
        const outcome = (await Promise.race([hand.remote.run(name, session, asked, report), left])) as Awaited<
          ReturnType<Door['run']>
        >
        if ('problems' in outcome) throw new ProblemError(outcome.problems)
        // Its caches are warm, so it works next. Starting one takes a core for a while: at most two are kept.
        busy.delete(hand)
        idle.push(hand)
        if (idle.length > 2) end(idle[0]!)
        return outcome.answer as Jobs[typeof name]['answer']
      } catch (error) {
        end(hand)
        throw error
      } finally {
        signal?.removeEventListener('abort', onAbort)
      }
    },
    warm() {
      if (!idle.length) idle.push(make())
    },
    close() {
      for (const hand of [...busy, ...idle]) end(hand)
    },
  }
}
