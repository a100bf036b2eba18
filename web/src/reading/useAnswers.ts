import { computed, shallowRef, type ComputedRef } from 'vue'
import type { Country } from '@esfuerzo/core'
import {
  choiceKey,
  isAboutWord,
  plainName,
  readingOf,
  type Answer,
  type Choices,
  type Question,
  type Readings,
} from '@esfuerzo/core/notation'
import { useReadings } from './useReadings.ts'

/** All answers about a text: words and country for all of a teacher's texts, choices for this one only. */
export interface Told {
  readings: Readings
  country: Country
  choices: Choices
}

/** Answers to a text's open questions: a word is remembered for the next text, a choice about this text lasts while it is read. */
export function useAnswers(): {
  told: ComputedRef<Told>
  withAnswer: (question: Question, answer: Answer) => Told
  answer: (question: Question, answer: Answer) => Promise<void>
  forgetChoices: () => void
} {
  const { readings, country, remember } = useReadings()
  const choices = shallowRef<Choices>(new Map())
  const told = computed<Told>(() => ({ readings: readings.value, country: country.value, choices: choices.value }))

  /** All answers with one more, to preview its effect. */
  const withAnswer = (question: Question, answer: Answer): Told =>
    isAboutWord(question)
      ? { ...told.value, readings: new Map([...readings.value, [plainName(question.received), readingOf(answer)]]) }
      : { ...told.value, choices: new Map([...choices.value, [choiceKey(question), answer]]) }

  async function answer(question: Question, given: Answer): Promise<void> {
    if (isAboutWord(question)) await remember(question, given)
    else choices.value = withAnswer(question, given).choices
  }
  return { told, withAnswer, answer, forgetChoices: () => (choices.value = new Map()) }
}
