import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { callCode } from '@esfuerzo/contract'
import { comingsBefore, madeFor } from '@esfuerzo/core/term'
import { client } from '../shared/client.ts'
import { coreDoor } from '../workers/coreDoor.ts'
import { useTerm } from './useTerm.ts'

/**
 * Makes a session's next step where it is due, and opens it.
 *
 * @param load reloads the teacher's sessions, including the new one
 */
export function useNextStep(load: () => Promise<void>) {
  const store = useTerm()
  const router = useRouter()
  const making = ref(false)
  /** The error code, if it could not be made. */
  const failed = ref('')

  async function make(date: string): Promise<void> {
    const place = store.document.places.find((p) => p.date === date)
    if (!place?.session) return
    making.value = true
    failed.value = ''
    try {
      const params = { id: place.session }
      const [{ document }, { times }] = await Promise.all([
        client('readSession', { params }),
        client('readCameBack', { params, query: { class: store.document.class } }),
      ])
      const cameBack = Object.fromEntries(
        document.groups.map(({ id }) => [id, times.map((time) => time.lanes[id] ?? [])]),
      )
      const coming = comingsBefore(store.document, place)
      const stepped = await coreDoor.run('termStep', document, { coming, cameBack })
      const { id } = await client('createSession', { body: { document: stepped } })
      store.edit((now) => madeFor(now, place.id, id))
      await load()
      if (await store.flush()) await router.push({ name: 'compose', params: { id } })
    } catch (error) {
      failed.value = callCode(error)
    }
    making.value = false
  }
  return { making, failed, make }
}
