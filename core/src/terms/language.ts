/** The languages of family pages. */
export const languages = ['en', 'es'] as const
export type Language = (typeof languages)[number]

/** Texts of the library in other languages, by the English text. */
export type Phrases = Partial<Record<Language, Readonly<Record<string, string>>>>

/**
 * The first of a device's languages that we support.
 *
 * @param wanted as browsers name them, the preferred first
 * @example languageOf(['ca-ES', 'es-MX', 'en']) // 'es'
 */
export function languageOf(wanted: readonly string[]): Language {
  const short = wanted.map((tag) => tag.slice(0, 2).toLowerCase())
  return short.map((tag) => languages.find((l) => l === tag)).find((l) => l !== undefined) ?? 'en'
}

/**
 * Looks up a text of the library in a language; an untranslated text, such as a teacher's own words, is returned unchanged.
 *
 * @example phrasesIn({ es: { Squat: 'Sentadilla' } }, 'es')('Squat') // 'Sentadilla'
 */
export const phrasesIn =
  (phrases: Phrases | undefined, language: Language) =>
  (text: string): string =>
    phrases?.[language]?.[text] ?? text
