import { useLocalStorage } from '@vueuse/core'
import type { Ref } from 'vue'
import { children, type Child } from '@esfuerzo/core/figure'

let chosen: Ref<Child> | undefined

/** The child in the drawings on this device. */
export function useChild(): Ref<Child> {
  chosen ??= useLocalStorage<Child>('esfuerzo-child', 'crop')
  // A child unknown to this release becomes the first.
  if (!children.includes(chosen.value)) chosen.value = 'crop'
  return chosen
}
