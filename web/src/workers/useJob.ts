import { computed, onScopeDispose, ref, shallowRef, watch, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { ProblemError, type Session } from '@esfuerzo/core'
import { problemText } from '../words/i18n.ts'
import type { JobDoor } from './jobDoor.ts'
import type { JobName, Jobs } from './jobs.ts'

export interface JobView<N extends JobName> {
  /** The last result; it may be for an older document, see `current`. */
  answer: ShallowRef<Jobs[N]['answer'] | undefined>
  /** Whether the result is for the current document: only then may it be applied. */
  current: ComputedRef<boolean>
  running: Ref<boolean>
  /** 0 to 1. */
  progress: Ref<number>
  /** What went wrong, in words. */
  problem: Ref<string>
  run: () => void
  cancel: () => void
}

/** How long a document must be unchanged before the job starts again, in milliseconds. */
const pause = 250

/**
 * A job that follows a document: it restarts when the document or the question changes, and cancels what it was doing. A result for an
 * older document is dropped.
 */
export function useJob<N extends JobName>(
  door: JobDoor,
  name: N,
  session: Ref<Session>,
  asked: () => Jobs[N]['asked'],
): JobView<N> {
  const answer: JobView<N>['answer'] = shallowRef()
  const answered = shallowRef<Session>()
  const running = ref(false)
  const progress = ref(0)
  const problem = ref('')
  let abort: AbortController | undefined
  let timer: ReturnType<typeof setTimeout> | undefined

  function cancel(): void {
    clearTimeout(timer)
    abort?.abort()
    abort = undefined
    running.value = false
  }

  async function run(): Promise<void> {
    cancel()
    const here = (abort = new AbortController())
    const document = session.value
    running.value = true
    progress.value = 0
    problem.value = ''
    try {
      const found = await door.run(name, document, asked(), {
        signal: here.signal,
        onProgress: (share) => (progress.value = share),
      })
      if (abort !== here || session.value !== document) return
      answer.value = found
      answered.value = document
    } catch (error) {
      if (abort !== here) return
      problem.value = error instanceof ProblemError ? error.problems.map(problemText).join('\n') : 'failed'
    } finally {
      if (abort === here) running.value = false
    }
  }

  watch([session, asked], ([document, now], [before, then]) => {
    if (document === before && JSON.stringify(now) === JSON.stringify(then)) return
    cancel()
    running.value = true
    timer = setTimeout(() => void run(), pause)
  })
  onScopeDispose(cancel)
  void run()
  return {
    answer,
    current: computed(() => answer.value !== undefined && answered.value === session.value),
    running,
    progress,
    problem,
    run: () => void run(),
    cancel,
  }
}
