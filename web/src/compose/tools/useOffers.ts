import { watchDebounced } from '@vueuse/core'
import { computed, onScopeDispose, shallowRef, type Ref, type ShallowRef } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Session } from '@esfuerzo/core'
import { placeOfRole, type SuggestFor } from '@esfuerzo/core/suggest'
import { useCursor } from '../cursor/useCursor.ts'
import { useSession } from '../session/useSession.ts'
import { reasonsText } from './reasonsText.ts'
import { useSuggestions } from './useSuggestions.ts'

/** Number of suggestions. */
const most = 6

/**
 * What the cursor's place leaves open: exercises by id, the best first, each with reasons. Computed in a worker once the session has
 * stopped changing; if that fails, nothing is offered.
 *
 * @param wanted whether somebody is looking for an exercise: nothing is computed while rows are typed
 */
export function useOffers(wanted: Ref<boolean>): ShallowRef<ReadonlyMap<string, string>> {
  const { t } = useI18n()
  const session = useSession()
  const cursor = useCursor()
  const { offer } = useSuggestions()
  const offers = shallowRef<ReadonlyMap<string, string>>(new Map())
  const place = computed(() => placeOfRole(cursor.selectedRow?.section.role ?? 'main'))
  let abort = new AbortController()
  /** The last place that was looked at. */
  let looked: { session: Session; place: SuggestFor } | undefined
  onScopeDispose(() => abort.abort())
  watchDebounced(
    [() => session.document, place, wanted],
    async () => {
      const { document } = session
      if (!wanted.value || (looked?.session === document && looked.place === place.value)) return
      looked = { session: document, place: place.value }
      abort.abort()
      const here = (abort = new AbortController())
      const found = await offer(place.value, most, here.signal).catch(() => [])
      if (abort === here) offers.value = new Map(found.map(({ move, reasons }) => [move, reasonsText(reasons, t)]))
    },
    { debounce: 150, immediate: true },
  )
  return offers
}
