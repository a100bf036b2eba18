import es from './es.json'

/** The library's texts where families are spoken to in other languages, by the English text. */
export const libraryWords: { es: Readonly<Record<string, string>> } = { es }
