import { onScopeDispose, shallowRef, watch, type Ref, type ShallowRef } from 'vue'

/**
 * A list that comes to the screen entry by entry, one every other frame: what is long to draw holds nobody up. Changed, its entries
 * change one after the other.
 *
 * @example useStaged(computed(() => ['a', 'b'])).value // [], soon ['a'], then ['a', 'b']
 */
export function useStaged<T>(list: Ref<readonly T[]>): ShallowRef<readonly T[]> {
  const shown = shallowRef<readonly T[]>([])
  let frame = 0
  onScopeDispose(() => cancelAnimationFrame(frame))
  /** A frame lies between, in which the page answers: what is drawn in two running counts as one. */
  const later = (work: () => void): void => {
    frame = requestAnimationFrame(() => (frame = requestAnimationFrame(work)))
  }
  const step = (at: number): void => {
    shown.value = [...list.value.slice(0, at + 1), ...shown.value.slice(at + 1, list.value.length)]
    if (at + 1 < list.value.length) later(() => step(at + 1))
  }
  watch(
    list,
    () => {
      cancelAnimationFrame(frame)
      later(() => step(0))
    },
    { immediate: true },
  )
  return shown
}
