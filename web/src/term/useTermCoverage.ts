import { computed, ref, shallowRef, watch, type Ref } from 'vue'
import { checkTerm, coverage, termRules, termView, type Term, type TermSession } from '@esfuerzo/core/term'
import { library } from '../repertoire/library.ts'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'
import { client } from '../shared/client.ts'

/**
 * What a term covers, planned or done, its results, and its checks.
 *
 * @param profiles of its sessions, as far as they are loaded
 * @param gone sessions in the trash or deleted
 */
export function useTermCoverage(
  id: () => string,
  term: Ref<Term>,
  profiles: ReadonlyMap<string, TermSession>,
  gone: Ref<ReadonlySet<string>>,
) {
  const repertoire = useRepertoire()
  const settings = useSettings()
  /** How many homes sent results for a place. */
  const done = shallowRef<ReadonlyMap<string, number>>(new Map())
  const children = ref<number | null>(null)
  // If the results cannot be loaded, only the plan is shown.
  watch(
    id,
    async (asked) => {
      done.value = new Map()
      children.value = null
      const answer = await client('readDone', { params: { id: asked } }).catch(() => undefined)
      if (!answer || asked !== id()) return
      done.value = new Map(answer.done.map(({ place, homes }) => [place, homes]))
      children.value = answer.children
    },
    { immediate: true },
  )

  const onlyDone = ref(false)
  const ids = computed(() => ({
    families: term.value.families.length
      ? term.value.families
      : [...new Set([...profiles.values()].flatMap((s) => s.families))],
    categories: [...new Set([...library.moves.values()].map((m) => m.category))],
    builds: [...new Set([...profiles.values()].flatMap((s) => s.builds))],
    regions: ['upper', 'core', 'lower'],
    parts: ['push', 'pull', 'legs', 'core'],
  }))
  /** Exercises the class knew before the term began. */
  const met = computed(
    () => new Set([...repertoire.lately].flatMap(([move, last]) => (last < term.value.starts ? [move] : []))),
  )
  const planned = computed(() => coverage(term.value, profiles, ids.value, met.value))
  const held = computed(() =>
    onlyDone.value
      ? coverage(term.value, profiles, ids.value, met.value, (place) => done.value.has(place.id))
      : planned.value,
  )
  const facts = computed(() => planned.value.weeks)

  // No findings until every session in it is loaded.
  const known = computed(() =>
    term.value.places.every((p) => !p.session || profiles.has(p.session) || gone.value.has(p.session)),
  )
  const findings = computed(() =>
    known.value ? checkTerm(termView(term.value, profiles, met.value), termRules, settings.settings?.checks) : [],
  )
  return { done, children, onlyDone, held, facts, findings }
}
