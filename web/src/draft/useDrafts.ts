import { onScopeDispose, ref, shallowRef } from 'vue'
import { newSession } from '@esfuerzo/core'
import { intents, type DraftAsk, type HeldRow, type Intent } from '@esfuerzo/core/draft'
import { callCode } from '@esfuerzo/contract'
import { library } from '../repertoire/library.ts'
import { coreDoor } from '../workers/coreDoor.ts'
import type { TimedDraft } from '../workers/jobs.ts'

/**
 * The key by which a row is recognized in a new draft, where its ids are new. @example rowKey({ part: 'main', station }) // 'main squat'
 */
export const rowKey = ({ part, station }: HeldRow): string => `${part} ${station.cells.all.move}`

/**
 * Three drafts, one after the other, each shown when it is ready; if stopped, the finished ones stay. When drafting again, kept rows stay
 * and the rest is different.
 */
export function useDrafts() {
  /** Null if nothing is possible under these conditions. */
  const drafts = shallowRef<Partial<Record<Intent, TimedDraft | null>>>({})
  const kept = shallowRef<Partial<Record<Intent, readonly HeldRow[]>>>({})
  /** Which is being made. */
  const making = ref<Intent>()
  const problem = ref('')
  let abort: AbortController | undefined

  function stop(): void {
    abort?.abort()
    abort = undefined
    making.value = undefined
  }
  onScopeDispose(stop)

  /** @param which intents are drafted; the others stay unchanged */
  async function make(asked: Omit<DraftAsk, 'held'>, which: readonly Intent[] = intents): Promise<void> {
    stop()
    const here = (abort = new AbortController())
    problem.value = ''
    const ask: DraftAsk = { ...asked, groups: [...asked.groups], held: kept.value }
    const carrier = newSession('Draft', [[0]], 20, library.version)
    try {
      for (const intent of which) {
        making.value = intent
        const besides = intents.flatMap((other) => {
          const there = other === intent ? undefined : drafts.value[other]
          return there ? [there.thread.move] : []
        })
        // The first result is shown at once, so that stopping leaves a session; if it is not optimal, the search goes on.
        for (const quick of [true, false]) {
          const draft = await coreDoor.run('draft', carrier, { intent, ask, besides, quick }, { signal: here.signal })
          if (abort !== here) return
          drafts.value = { ...drafts.value, [intent]: draft ?? null }
          if (!draft || draft.settled) break
        }
      }
    } catch (error) {
      if (abort !== here) return
      problem.value = callCode(error)
    }
    making.value = undefined
  }

  /** Keeps a row, or no longer keeps it. */
  function keep(intent: Intent, row: HeldRow): void {
    const before = kept.value[intent] ?? []
    const others = before.filter((other) => rowKey(other) !== rowKey(row))
    kept.value = { ...kept.value, [intent]: others.length < before.length ? others : [...before, row] }
  }
  const keptOf = (intent: Intent): ReadonlySet<string> => new Set((kept.value[intent] ?? []).map(rowKey))

  /** Under other conditions nothing is kept. Drafts leave the screen one by one, because removing all at once blocks the page. */
  async function forget(): Promise<void> {
    kept.value = {}
    for (const intent of intents) {
      const { [intent]: _, ...others } = drafts.value
      drafts.value = others
      await new Promise((resolve) => setTimeout(resolve))
    }
  }
  return { drafts, keptOf, making, problem, make, stop, keep, forget }
}
