import type { Fix, FixId, FixWords } from '../checks/fixes/fix.ts'
import type { Facts } from '../checks/rule.ts'
import type { Language } from '../terms/language.ts'
import { fixesInEnglish, fixWordsInEnglish } from './en/fixes.ts'
import { fixesInSpanish, fixWordsInSpanish } from './es/fixes.ts'

const texts: Record<Language, Record<FixId, (facts: Facts) => string>> = { en: fixesInEnglish, es: fixesInSpanish }

/** What a fix writes into a session, in each language. */
export const fixWords: Record<Language, FixWords> = { en: fixWordsInEnglish, es: fixWordsInSpanish }

/**
 * The label of a fix.
 *
 * @example fixText({ id: 'more-rest', facts: { seconds: 5 } }, 'en') // 'Add 5 s of rest'
 */
export const fixText = ({ id, facts }: Pick<Fix, 'id' | 'facts'>, language: Language): string =>
  texts[language][id](facts)
