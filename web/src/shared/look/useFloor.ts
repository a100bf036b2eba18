import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed, watch, type ComputedRef, type Ref } from 'vue'

/** The color scheme: the system's, day, or night. */
export const floors = ['system', 'day', 'night'] as const
export type Floor = (typeof floors)[number]

/** The colors of the pages: this device's choice, otherwise the system's. */
export function useFloor(): { floor: Ref<Floor>; isNight: ComputedRef<boolean> } {
  const floor = useLocalStorage<Floor>('esfuerzo-floor', 'system')
  const dark = usePreferredDark()
  const isNight = computed(() => floor.value === 'night' || (floor.value !== 'day' && dark.value))
  watch(
    floor,
    (now) => {
      if (now === 'system') delete document.documentElement.dataset.floor
      else document.documentElement.dataset.floor = now
    },
    { immediate: true },
  )
  return { floor, isNight }
}
