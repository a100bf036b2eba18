import { computed, shallowRef, type ComputedRef, type ShallowRef } from 'vue'

/** A document with its undo and redo history. */
export interface History<T> {
  current: ShallowRef<T>
  canUndo: ComputedRef<boolean>
  canRedo: ComputedRef<boolean>
  /** Applies the next document; consecutive steps with the same `merge` key are undone as one. */
  push: (next: T, merge?: string) => void
  undo: () => void
  redo: () => void
  /** Starts over. */
  reset: (start: T) => void
}

/** Number of steps that can be undone. */
const depth = 500

/** Undo and redo over immutable documents. @param start the first document */
export function useHistory<T>(start: T): History<T> {
  const current = shallowRef(start) as ShallowRef<T>
  const past = shallowRef<readonly T[]>([])
  const future = shallowRef<readonly T[]>([])
  let lastMerge: string | undefined

  return {
    current,
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
    push(next, merge) {
      if (next === current.value) return
      if (merge === undefined || merge !== lastMerge) past.value = [...past.value.slice(1 - depth), current.value]
      lastMerge = merge
      future.value = []
      current.value = next
    },
    undo() {
      const last = past.value.at(-1)
      if (last === undefined) return
      past.value = past.value.slice(0, -1)
      future.value = [current.value, ...future.value]
      current.value = last
      lastMerge = undefined
    },
    redo() {
      const [next, ...rest] = future.value
      if (next === undefined) return
      past.value = [...past.value, current.value]
      future.value = rest
      current.value = next
      lastMerge = undefined
    },
    reset(document) {
      past.value = []
      future.value = []
      lastMerge = undefined
      current.value = document
    },
  }
}
