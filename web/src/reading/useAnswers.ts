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

/** All that was told about a text: words and country for every text of hers, choices for this one alone. */
export interface Told {
  readings: Readings
  country: Country
  choices: Choices
}

/** What a text leaves open, answered: a word is remembered for the next text, what is about this text holds while it is read. */
export function useAnswers(): {
  told: ComputedRef<Told>
  withAnswer: (question: Question, answer: Answer) => Told
  answer: (question: Question, answer: Answer) => Promise<void>
  forgetChoices: () => void
} {
  const { readings, country, remember } = useReadings()
  const choices = shallowRef<Choices>(new Map())
  const told = computed<Told>(() => ({ readings: readings.value, country: country.value, choices: choices.value }))

  /** What would be told with one answer more, to look at what it would come to. */
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
