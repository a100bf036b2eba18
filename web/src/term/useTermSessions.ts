import { computed, reactive, shallowRef, watch, type Ref } from 'vue'
import { callCode, type SessionSummary } from '@esfuerzo/contract'
import type { Term, TermSession } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'
import { coreDoor } from '../workers/coreDoor.ts'

/** Every session a term refers to. */
const idsIn = ({ places, sessions, storm, tests }: Term): string[] => [
  ...new Set([
    ...sessions,
    ...storm,
    ...(tests ? [tests] : []),
    ...places.flatMap((p) => [p.session, p.made].filter((id) => id !== undefined)),
  ]),
]

/** The teacher's sessions, and the properties of those in the term, each computed once in a worker. */
export function useTermSessions(term: Ref<Term>) {
  const summaries = shallowRef<readonly SessionSummary[]>()
  const profiles = reactive(new Map<string, TermSession>())
  const problem = shallowRef('')
  const titles = computed(() => new Map((summaries.value ?? []).map((w) => [w.id, w.title])))
  /** Asked for already. */
  const asked = new Set<string>()

  async function load(): Promise<void> {
    problem.value = ''
    try {
      summaries.value = (await client('listSessions', {})).workouts
    } catch (error) {
      problem.value = callCode(error)
    }
  }
  /** Grades of the class whose term it is: a session is what its own lane does. */
  let grades: number[] | undefined
  async function readGrades(id: string | undefined): Promise<void> {
    const found = id ? (await client('listClasses', {})).classes.find((c) => c.id === id)?.grades : undefined
    if (`${found}` === `${grades}`) return
    grades = found
    asked.clear()
    profiles.clear()
  }
  async function profile(id: string): Promise<void> {
    if (asked.has(id)) return
    asked.add(id)
    const wanted = grades
    try {
      const { document } = await client('readSession', { params: { id } })
      const found = await coreDoor.run('termSession', document, { id, ...(wanted && { grades: wanted }) })
      if (wanted === grades) profiles.set(id, found)
    } catch (error) {
      // Loaded again with the next change.
      asked.delete(id)
      problem.value = callCode(error)
    }
  }
  watch(
    [() => idsIn(term.value), titles, () => term.value.class],
    async ([ids, , ofClass]) => {
      // Where the classes cannot be asked, a session is what all its lanes do.
      await readGrades(ofClass).catch(() => undefined)
      for (const id of ids) if (titles.value.has(id)) await profile(id)
    },
    { immediate: true },
  )
  /** Planned sessions that are in the trash or deleted. */
  const gone = computed(() =>
    summaries.value ? new Set(idsIn(term.value).filter((id) => !titles.value.has(id))) : new Set<string>(),
  )
  return { summaries, titles, profiles, problem, gone, load, profile }
}
