/** The languages families are spoken to in. */
export const languages = ['en', 'es'] as const
export type Language = (typeof languages)[number]

/** Texts of the library in other languages, by the English text. */
export type Phrases = Partial<Record<Language, Readonly<Record<string, string>>>>

/**
 * The language a device is set to, as far as we speak it.
 *
 * @param wanted as browsers name them, the dearest first
 * @example languageOf(['ca-ES', 'es-MX', 'en']) // 'es'
 */
export function languageOf(wanted: readonly string[]): Language {
  const short = wanted.map((tag) => tag.slice(0, 2).toLowerCase())
  return short.map((tag) => languages.find((l) => l === tag)).find((l) => l !== undefined) ?? 'en'
}

/**
 * Looks a text of the library up in a language; what nobody translated, such as a teacher's own words, stays as it is.
 *
 * @example phrasesIn({ es: { Squat: 'Sentadilla' } }, 'es')('Squat') // 'Sentadilla'
 */
export const phrasesIn =
  (phrases: Phrases | undefined, language: Language) =>
  (text: string): string =>
    phrases?.[language]?.[text] ?? text
