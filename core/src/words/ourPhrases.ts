import { fixWordsInEnglish } from './en/fixes.ts'
import { fixWordsInSpanish } from './es/fixes.ts'
import { parts } from './parts.ts'
import type { Phrases } from '../terms/language.ts'
import { roles } from '../terms/roles.ts'

/** Letters alone: "WARM UP" is "Warm-up". */
const plain = (text: string) => text.toLowerCase().replace(/[^\p{L}]+/gu, '')

/** The title of the talk that a draft brings with it. */
export const newsTitle = 'What is new'

const inSpanish = new Map([
  [plain(newsTitle), 'Lo nuevo'] as const,
  ...roles.map((role) => [plain(parts.en[role]), parts.es[role]] as const),
  ['main', parts.es.main] as const,
  ...(Object.keys(fixWordsInEnglish) as (keyof typeof fixWordsInEnglish)[]).map(
    (key) => [plain(fixWordsInEnglish[key]), fixWordsInSpanish[key]] as const,
  ),
])

/**
 * The texts of a session that are ours: default section headings, as in a pasted plan, and texts written by a fix. A teacher's own words
 * stay unchanged.
 *
 * @example ourPhrases(['WARM UP', 'Gannets']).es // { 'WARM UP': 'Calentamiento' }
 */
export const ourPhrases = (texts: readonly string[]): Required<Pick<Phrases, 'es'>> => ({
  es: Object.fromEntries(
    texts.flatMap((text) => {
      const es = inSpanish.get(plain(text))
      return es ? [[text, es]] : []
    }),
  ),
})
