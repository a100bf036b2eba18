import { defineStore } from 'pinia'
import { computed } from 'vue'
import { sessionView } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'

/** Every lane of the session on screen. */
export const useLanes = defineStore('lanes', () => {
  const session = useSession()
  return { lanes: computed(() => sessionView(session.document, library)) }
})
