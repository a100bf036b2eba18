import { ref, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { CallError } from '@esfuerzo/contract'

/** Calls of a card: one at a time, with errors in words beside it. */
export interface Calls {
  busy: Ref<boolean>
  problem: Ref<string>
  /** Runs a call; a refusal is worded, any other error is thrown. @returns whether it succeeded */
  guarded: (action: () => Promise<void>) => Promise<boolean>
}

/** @param invalid key of the message if the server refuses what was typed */
export function useCalls(invalid: string): Calls {
  const { t } = useI18n()
  const busy = ref(false)
  const problem = ref('')
  return {
    busy,
    problem,
    async guarded(action) {
      problem.value = ''
      busy.value = true
      try {
        await action()
        return true
      } catch (error) {
        if (!(error instanceof CallError)) throw error
        problem.value = error.code === 'invalid' ? t(invalid) : t(`errors.${error.code}`)
        return false
      } finally {
        busy.value = false
      }
    },
  }
}
