import { computed, shallowRef, type ComputedRef } from 'vue'
import type { Country } from '@esfuerzo/core'
import { plainName, readingOf, type Answer, type Question, type Readings } from '@esfuerzo/core/notation'
import { useSettings } from '../settings/store.ts'

/** What words stand for in a teacher's texts. */
export interface TeachersReadings {
  readings: ComputedRef<Readings>
  /** Where the school is: it tells what some names mean. */
  country: ComputedRef<Country>
  /** Takes an answer about a word: at once here, and with her settings for the next text. */
  remember: (question: Question, answer: Answer) => Promise<void>
}

/** Answers of this page that could not be kept: they hold until it is left. */
const heldHere = shallowRef<Readonly<Record<string, string>>>({})

/** The words a teacher has told what they stand for. */
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
        // Held here all the same; the next answer tries again.
      }
    },
  }
}
