import { onScopeDispose, shallowRef, watch, type Ref, type ShallowRef } from 'vue'

/**
 * A list whose entries are rendered one by one, every other frame, so that a long one does not block the page. Changed entries are replaced
 * the same way.
 *
 * @example useStaged(computed(() => ['a', 'b'])).value // [], soon ['a'], then ['a', 'b']
 */
export function useStaged<T>(list: Ref<readonly T[]>): ShallowRef<readonly T[]> {
  const shown = shallowRef<readonly T[]>([])
  let frame = 0
  onScopeDispose(() => cancelAnimationFrame(frame))
  /** A frame lies in between, in which the page can respond: renders in two consecutive frames count as one long task. */
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
