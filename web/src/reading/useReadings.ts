import { computed, shallowRef, type ComputedRef } from 'vue'
import { plainName, readingOf, type Answer, type Question, type Readings } from '@esfuerzo/core/notation'
import { useSettings } from '../settings/store.ts'

/** What words stand for in a teacher's texts. */
export interface TeachersReadings {
  readings: ComputedRef<Readings>
  /** Takes an answer: at once here, and with her settings for the next text. */
  remember: (question: Question, answer: Answer) => Promise<void>
  /** Readings with one answer more, to look at what it would come to. */
  withAnswer: (question: Question, answer: Answer) => Readings
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
    withAnswer: (question, answer) => new Map([...readings.value, [plainName(question.received), readingOf(answer)]]),
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
