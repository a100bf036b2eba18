import { computed, shallowRef, type ComputedRef } from 'vue'
import type { Country } from '@esfuerzo/core'
import { plainName, readingOf, type Answer, type Question, type Readings } from '@esfuerzo/core/notation'
import { useSettings } from '../settings/store.ts'

/** The meaning of words in a teacher's texts. */
export interface TeachersReadings {
  readings: ComputedRef<Readings>
  /** The school's country, which decides what some names mean. */
  country: ComputedRef<Country>
  /** Accepts an answer about a word: here at once, and in her settings for later texts. */
  remember: (question: Question, answer: Answer) => Promise<void>
}

/** Answers on this page that could not be saved: they last until the page is closed. */
const heldHere = shallowRef<Readonly<Record<string, string>>>({})

/** The words whose meaning a teacher has given. */
export function useReadings(): TeachersReadings {
  const settings = useSettings()
  void settings.load()
  const readings = computed<Readings>(
    () => new Map(Object.entries({ ...settings.settings?.readings, ...heldHere.value })),
  )
  return {
    readings,
    country: computed(() => settings.settings?.country ?? 'unsaid'),
    async remember(question, answer) {
      const word = plainName(question.received)
      heldHere.value = { ...heldHere.value, [word]: readingOf(answer) }
      const now = settings.settings
      if (!now) return
      try {
        await settings.save({ ...now, readings: { ...now.readings, [word]: readingOf(answer) } })
      } catch {
        // Still applied here; the next answer tries to save it again.
      }
    },
  }
}
