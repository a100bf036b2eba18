import { ref, type Ref } from 'vue'
import { useI18n } from 'vue-i18n'
import { callCode, CallError } from '@esfuerzo/contract'
import { problemSentence } from '../words/i18n.ts'

/** Calls of a class book view, with their errors in words. */
export interface Tried {
  problem: Ref<string>
  /** Makes a call. @returns whether it succeeded */
  tried: (work: () => Promise<unknown>) => Promise<boolean>
}

export function useTried(): Tried {
  const { t } = useI18n()
  const problem = ref('')
  return {
    problem,
    async tried(work) {
      problem.value = ''
      try {
        await work()
        return true
      } catch (error) {
        // A named refusal says more than that it was refused.
        const [first] = error instanceof CallError ? error.problems : []
        problem.value = first ? problemSentence(first) : t(`errors.${callCode(error)}`)
        return false
      }
    },
  }
}
