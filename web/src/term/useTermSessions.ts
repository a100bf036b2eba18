import { computed, reactive, shallowRef, watch, type Ref } from 'vue'
import { callCode, type WorkoutSummary } from '@esfuerzo/contract'
import type { Term, TermSession } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'
import { coreDoor } from '../workers/coreDoor.ts'

/** Every session a term speaks of. */
const idsIn = ({ places, sessions, storm, tests }: Term): string[] => [
  ...new Set([
    ...sessions,
    ...storm,
    ...(tests ? [tests] : []),
    ...places.flatMap((p) => [p.session, p.made].filter((id) => id !== undefined)),
  ]),
]

/** The teacher's sessions, and of those in the term what it asks of them, each worked out once beside the page. */
export function useTermSessions(term: Ref<Term>) {
  const summaries = shallowRef<readonly WorkoutSummary[]>()
  const profiles = reactive(new Map<string, TermSession>())
  const problem = shallowRef('')
  const titles = computed(() => new Map((summaries.value ?? []).map((w) => [w.id, w.title])))
  /** Asked for already. */
  const asked = new Set<string>()

  async function load(): Promise<void> {
    problem.value = ''
    try {
      summaries.value = (await client('listWorkouts', {})).workouts
    } catch (error) {
      problem.value = callCode(error)
    }
  }
  async function profile(id: string): Promise<void> {
    if (asked.has(id)) return
    asked.add(id)
    try {
      const { document } = await client('readWorkout', { params: { id } })
      profiles.set(id, await coreDoor.run('termSession', document, { id }))
    } catch (error) {
      // Asked again with the next change.
      asked.delete(id)
      problem.value = callCode(error)
    }
  }
  watch(
    [() => idsIn(term.value), titles],
    async ([ids]) => {
      for (const id of ids) if (titles.value.has(id)) await profile(id)
    },
    { immediate: true },
  )
  /** Sessions that are planned and in the bin or deleted. */
  const gone = computed(() =>
    summaries.value ? new Set(idsIn(term.value).filter((id) => !titles.value.has(id))) : new Set<string>(),
  )
  return { summaries, titles, profiles, problem, gone, load, profile }
}
