import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { VForm } from 'vuetify/components'
import { sameValue, zodProblems, type Problem } from '@esfuerzo/core'
import { problemSentence } from './i18n.ts'
import { refusalOf, type Refusal } from './refusal.ts'

/** What a field's value is checked by: part of the document's own schema. */
interface FieldSchema {
  safeParse: (value: unknown) => { success: boolean; error?: Parameters<typeof zodProblems>[0] }
}

/** A form over a draft: what is changed, what is being sent, what was refused and where. */
export interface Form<T> {
  draft: ShallowRef<T>
  /** The draft is another than what was begun with or sent last. */
  changed: ComputedRef<boolean>
  busy: Ref<boolean>
  refusal: ShallowRef<Refusal | undefined>
  /** Takes a value as what is stored: nothing is changed. */
  begin: (value: T) => void
  /** True when it went through, or there was nothing to send. @param always sends what is not changed too */
  save: (always?: boolean) => Promise<boolean>
  /** What was refused at a place of the document, for the field that stands for it. */
  refusedAt: (...path: (string | number)[]) => string[]
}

/**
 * @param start the value a draft begins with
 * @param send stores the draft; what it throws is worded
 * @param shown the `v-form` it is shown in: its fields are asked before anything is sent
 */
export function useForm<T>(start: T, send: (draft: T) => Promise<void>, shown?: Readonly<Ref<VForm | null>>): Form<T> {
  const stored = shallowRef(start)
  const draft = shallowRef(start)
  const busy = ref(false)
  const refusal = shallowRef<Refusal>()
  const changed = computed(() => !sameValue(draft.value, stored.value))

  async function save(always = false): Promise<boolean> {
    if (!changed.value && !always) return true
    refusal.value = undefined
    const fields = await shown?.value?.validate()
    if (fields?.valid === false) {
      document.getElementById(String(fields.errors[0]?.id))?.focus()
      return false
    }
    busy.value = true
    try {
      const sent = draft.value
      await send(sent)
      stored.value = sent
      return true
    } catch (error) {
      refusal.value = refusalOf(error)
      return false
    } finally {
      busy.value = false
    }
  }
  const isAt = (path: readonly (string | number)[]) => (problem: Problem) =>
    path.every((step, i) => problem.path[i] === step)
  return {
    draft,
    changed,
    busy,
    refusal,
    begin: (value) => (stored.value = draft.value = value),
    save,
    refusedAt: (...path) => refusal.value?.problems.filter(isAt(path)).map(problemSentence) ?? [],
  }
}

/** @returns a rule for a field: true, or the sentence for the first thing its schema does not take */
export const ruleOf =
  (schema: FieldSchema) =>
  (value: unknown): true | string => {
    const { success, error } = schema.safeParse(value)
    return success || !error ? true : problemSentence(zodProblems(error, value)[0]!)
  }
