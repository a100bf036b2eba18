import { watchDebounced } from '@vueuse/core'
import { defineStore } from 'pinia'
import { computed, shallowRef } from 'vue'
import { checkSession, type Finding } from '@esfuerzo/core/checks'
import { library } from '../../repertoire/library.ts'
import { useSession } from '../session/useSession.ts'

/** So long after the last change the session is looked at, in milliseconds: nothing blinks while somebody types. */
const settles = 500

/** What a thoughtful colleague would say to the session on screen. */
export const useChecks = defineStore('checks', () => {
  const session = useSession()
  const findings = shallowRef<readonly Finding[]>([])
  watchDebounced(
    () => session.workout,
    (workout) => (findings.value = checkSession(workout, library)),
    { debounce: settles, immediate: true },
  )
  return {
    findings: computed(() => findings.value),
    /** Those that ask for a look before it goes out. */
    toLookAt: computed(() => findings.value.filter((f) => f.level !== 'note').length),
  }
})
