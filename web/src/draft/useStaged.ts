import { onScopeDispose, shallowRef, watch, type Ref, type ShallowRef } from 'vue'

/**
 * A list that comes to the screen an entry a frame: what is long to draw holds nobody up. Changed, its entries change one after the other.
 *
 * @example useStaged(computed(() => ['a', 'b'])).value // ['a'], a frame later ['a', 'b']
 */
export function useStaged<T>(list: Ref<readonly T[]>): ShallowRef<readonly T[]> {
  const shown = shallowRef<readonly T[]>(list.value.slice(0, 1))
  let frame = 0
  onScopeDispose(() => cancelAnimationFrame(frame))
  const step = (at: number): void => {
    shown.value = [...list.value.slice(0, at + 1), ...shown.value.slice(at + 1, list.value.length)]
    if (at + 1 < list.value.length) frame = requestAnimationFrame(() => step(at + 1))
  }
  watch(
    list,
    () => {
      cancelAnimationFrame(frame)
      frame = requestAnimationFrame(() => step(0))
    },
    { immediate: true },
  )
  return shown
}
