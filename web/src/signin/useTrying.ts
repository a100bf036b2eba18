import { ref, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, type CallError } from '@esfuerzo/contract'

/** Runs an action when a form is sent: whether it is in progress, and what went wrong. */
export interface Trying {
  busy: Ref<boolean>
  problem: Ref<string>
  /** True if it succeeded. A failure is worded in `problem`. */
  attempt: (work: () => Promise<void>) => Promise<boolean>
}

/** @param own the form's own words for single codes, if better than the general ones */
export function useTrying(own: Partial<Record<CallError['code'], string>> = {}): Trying {
  const { t } = useI18n()
  const busy = ref(false)
  const problem = ref('')
  async function attempt(work: () => Promise<void>): Promise<boolean> {
    busy.value = true
    problem.value = ''
    try {
      await work()
      return true
    } catch (error) {
      const code = callCode(error)
      problem.value = own[code] ?? t(`errors.${code}`)
      return false
    } finally {
      busy.value = false
    }
  }
  return { busy, problem, attempt }
}
