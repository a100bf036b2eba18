import { ref } from 'vue'
import { useRouter } from 'vue-router'
import { callCode } from '@esfuerzo/contract'
import { nextTitle } from '@esfuerzo/core/nextTime'
import { client } from '../shared/client.ts'

/** Creates the next session from a sent one: a copy with a numbered title, and its results next to it. */
export function useNextSession() {
  const router = useRouter()
  const problem = ref('')
  const making = ref(false)
  /** @param ofClass whose results count at first; everybody's where left out */
  async function make(sessionId: string, ofClass?: string): Promise<void> {
    making.value = true
    problem.value = ''
    try {
      const { document } = await client('readSession', { params: { id: sessionId } })
      const { answered: _, ...copy } = document
      const { id } = await client('createSession', {
        body: { document: { ...copy, title: nextTitle(document.title) } },
      })
      await router.push({ name: 'compose', params: { id }, query: { next: sessionId, class: ofClass } })
    } catch (error) {
      problem.value = callCode(error)
    }
    making.value = false
  }
  return { make, making, problem }
}
