import { useBroadcastChannel, useIntervalFn } from '@vueuse/core'
import { computed, ref, toValue, watch, type ComputedRef, type MaybeRefOrGetter } from 'vue'

/** How often a tab signals that it is open, and after how long without a signal it counts as closed; milliseconds. */
const every = 2000
const patience = 5000

/**
 * Whether another tab of this browser has the same session open.
 *
 * @param sessionId the session to ask about
 */
export function useOtherTab(sessionId: MaybeRefOrGetter<string>): { elsewhere: ComputedRef<boolean> } {
  const { data, post } = useBroadcastChannel<string, string>({ name: 'esfuerzo-open-session' })
  const heard = ref(0)
  const now = ref(Date.now())
  watch(data, (said) => {
    if (said?.startsWith(toValue(sessionId))) heard.value = Date.now()
  })
  useIntervalFn(
    () => {
      now.value = Date.now()
      // With the time, so that every message is new.
      post(`${toValue(sessionId)} ${now.value}`)
    },
    every,
    { immediateCallback: true },
  )
  return { elsewhere: computed(() => now.value - heard.value < patience) }
}
