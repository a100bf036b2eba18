import { computed, ref, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import type { VForm } from 'vuetify/components'
import { sameValue, zodProblems, type Problem } from '@esfuerzo/core'
import { problemSentence } from './i18n.ts'
import { refusalOf, type Refusal } from './refusal.ts'

/** The check of a field's value: part of the document's own schema. */
interface FieldSchema {
  safeParse: (value: unknown) => { success: boolean; error?: Parameters<typeof zodProblems>[0] }
}

/** A form over a draft: what is changed, what is being sent, what was refused and where. */
export interface Form<T> {
  draft: ShallowRef<T>
  /** The draft differs from the initial value or the last one sent. */
  changed: ComputedRef<boolean>
  busy: Ref<boolean>
  refusal: ShallowRef<Refusal | undefined>
  /** Accepts a value as stored: nothing is changed. */
  begin: (value: T) => void
  /** True if it succeeded, or there was nothing to send. @param always send even without changes */
  save: (always?: boolean) => Promise<boolean>
  /** The refusal at a place of the document, for its field. */
  refusedAt: (...path: (string | number)[]) => string[]
}

/**
 * @param start the initial value of a draft
 * @param send stores the draft; its errors are worded
 * @param shown the `v-form` it is in: its fields are validated before anything is sent
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

/** @returns a rule for a field: true, or the sentence for the schema's first complaint */
export const ruleOf =
  (schema: FieldSchema) =>
  (value: unknown): true | string => {
    const { success, error } = schema.safeParse(value)
    return success || !error ? true : problemSentence(zodProblems(error, value)[0]!)
  }
