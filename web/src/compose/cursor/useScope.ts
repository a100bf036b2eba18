import { computed, ref, shallowRef, type ComputedRef } from 'vue'
import type { Group, Scope } from '@esfuerzo/core'

export interface EditScope {
  /** The groups an edit is for: the chosen ones as far as the selected cells have them, otherwise those of the cells. */
  scope: ComputedRef<Scope>
  /** The groups chosen until further notice, on every row; empty if none are. */
  only: ComputedRef<readonly string[]>
  /** Their letters, for a sentence: "A, C". */
  onlyLetters: ComputedRef<string>
  /** Chooses the groups that edits are for. Some groups stay chosen on every row; `all` is for the current cell alone. */
  chooseScope: (scope: Scope) => void
  /** Chooses the first group alone, then the next; after the last, none. */
  nextOnly: () => void
  /** The cursor has moved: `all` no longer applies. */
  onMoved: () => void
}

/**
 * Which groups an edit in the running order is for.
 *
 * @param ofCells the groups of the selected cells
 * @param groups the session's
 */
export function useScope(ofCells: ComputedRef<Scope>, groups: ComputedRef<readonly Group[]>): EditScope {
  const chosen = shallowRef<Scope>()
  /** Chosen for the current cell: then it holds whichever groups that cell has. */
  const forThisCell = ref(false)
  /** A removed group is no longer chosen. */
  const only = computed(() =>
    Array.isArray(chosen.value) ? chosen.value.filter((id) => groups.value.some((g) => g.id === id)) : [],
  )
  return {
    scope: computed(() => {
      if (chosen.value === 'all') return 'all'
      if (forThisCell.value && only.value.length) return only.value
      const here = ofCells.value
      const both = here === 'all' ? only.value : only.value.filter((id) => here.includes(id))
      return both.length ? both : here
    }),
    only,
    onlyLetters: computed(() =>
      groups.value
        .filter(({ id }) => only.value.includes(id))
        .map(({ letter }) => letter)
        .join(', '),
    ),
    chooseScope(scope) {
      chosen.value = scope
      forThisCell.value = true
    },
    nextOnly() {
      const ids = groups.value.map((g) => g.id)
      const next = only.value.length === 1 ? ids.indexOf(only.value[0]!) + 1 : 0
      chosen.value = ids[next] === undefined ? undefined : [ids[next]]
      forThisCell.value = true
    },
    onMoved() {
      forThisCell.value = false
      if (chosen.value === 'all') chosen.value = undefined
    },
  }
}
