import type { BaseSayCode, Say } from '../timing/step.ts'
import type { Amount, Unit } from '../terms/dose.ts'
import { doseInEnglish, sentencesInEnglish } from './en/say.ts'
import { doseInSpanish, sentencesInSpanish } from './es/say.ts'
import type { Language } from '../terms/language.ts'
import { sayName, type Names } from './names.ts'
import { formSentences } from './formWords.ts'
import type { Sentences } from './sentences.ts'

/** Every language's words, each from its own file. */
export const sentences: Record<Language, Sentences> = { en: sentencesInEnglish, es: sentencesInSpanish }
const doses: Record<Language, (amount: Amount, unit: Unit) => string> = { en: doseInEnglish, es: doseInSpanish }

/**
 * A dose as a child hears it.
 *
 * @example doseWords({ from: 10, to: 15 }, 'reps', 'en') // '10 to 15 times'
 */
export const doseWords = (amount: Amount, unit: Unit, language: Language): string => doses[language](amount, unit)

const isBase = (code: string): code is BaseSayCode => Object.hasOwn(sentences.en, code)

/**
 * What is said at a step.
 *
 * @example sayText({ code: 'restNext', params: { move: 'squat', version: 'squat' } }, names, 'en') // 'Breathe. Next: Squat'
 */
export function sayText(say: Say, names: Names, language: Language): string {
  const name = sayName(say, names)
  if (isBase(say.code)) return sentences[language][say.code](say.params, name)
  // An older page may not know a newer form's words; the title is always available.
  const own = Object.hasOwn(formSentences[language], say.code) ? formSentences[language][say.code] : undefined
  return own?.(say.params, name) ?? say.params.title ?? name
}
