import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue'
import { callCode, type CallError, type RunSummary } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'

/** Runs, page by page, the latest first. */
export interface Runs {
  /** The loaded ones; undefined until the first page is loaded. */
  runs: ShallowRef<RunSummary[] | undefined>
  /** How many more there are. */
  left: ComputedRef<number>
  /** Why the last page could not be loaded. */
  problem: ShallowRef<CallError['code'] | undefined>
  /** Loads the first page again. */
  load: () => Promise<void>
  /** The next page. */
  more: () => Promise<void>
  /** Permanently deletes one. */
  remove: (run: RunSummary) => Promise<void>
}

/** @param session of one session; of all where left out */
export function useRuns(session?: string): Runs {
  const runs = shallowRef<RunSummary[]>()
  const total = shallowRef(0)
  const next = shallowRef<string | null>(null)
  const problem = shallowRef<CallError['code']>()

  async function fetchPage(before: string | undefined) {
    problem.value = undefined
    try {
      const page = await client('listRuns', {
        query: { ...(session && { workout: session }), ...(before && { before }) },
      })
      runs.value = before ? [...(runs.value ?? []), ...page.runs] : page.runs
      total.value = page.total
      next.value = page.next
    } catch (error) {
      problem.value = callCode(error)
    }
  }
  return {
    runs,
    left: computed(() => (next.value ? Math.max(0, total.value - (runs.value?.length ?? 0)) : 0)),
    problem,
    load: () => fetchPage(undefined),
    more: async () => {
      if (next.value) await fetchPage(next.value)
    },
    remove: async ({ publicationId: id, run: { id: run } }) => {
      problem.value = undefined
      try {
        await client('removeRun', { params: { id, run } })
        runs.value = runs.value?.filter((r) => r.run.id !== run)
        total.value--
      } catch (error) {
        problem.value = callCode(error)
      }
    },
  }
}
