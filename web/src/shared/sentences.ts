import { inject, ref, type App, type InjectionKey, type Ref } from 'vue'

/** Sentences by key, in nested objects. */
export interface Messages {
  [key: string]: string | Messages
}

/** The words of a set of pages: small, because every family downloads them before a session runs. */
export interface Sentences {
  /** The language that is spoken. */
  locale: Ref<string>
  /** Whether a language's words are loaded. */
  has: (language: string) => boolean
  add: (language: string, messages: Messages) => void
  /**
   * The sentence of a key; in the first language if the current one lacks it, or the key itself if both do.
   *
   * @param params values for `{name}` placeholders
   * @param n the number that chooses between `none | one | many`, or between `one | many`
   */
  t: (key: string, params?: Readonly<Record<string, unknown>>, n?: number) => string
  install: (app: App) => void
}

const provided: InjectionKey<Sentences> = Symbol('sentences')

/**
 * The sentence for a number.
 *
 * @example formOf('no rounds | 1 round | {n} rounds', 1) // '1 round'
 * @example formOf('1 row | {n} rows', 0) // '{n} rows'
 */
export function formOf(sentence: string, n: number): string {
  const forms = sentence.split(' | ')
  const none = forms.length > 2 ? 1 : 0
  const form = n === 0 && none ? 0 : n === 1 ? none : none + 1
  return forms[Math.min(form, forms.length - 1)]!
}

function sentenceOf(messages: Messages | undefined, key: string): string | undefined {
  let here: string | Messages | undefined = messages
  for (const part of key.split('.'))
    here = typeof here === 'object' && Object.hasOwn(here, part) ? here[part] : undefined
  return typeof here === 'string' ? here : undefined
}

/** Messages that start with one language; others are added when needed. */
export function createSentences(first: string, messages: Messages): Sentences {
  const locale = ref(first)
  const known = new Map([[first, messages]])
  const sentences: Sentences = {
    locale,
    has: (language) => known.has(language),
    add: (language, more) => void known.set(language, more),
    t: (key, params = {}, n) => {
      const found = sentenceOf(known.get(locale.value), key) ?? sentenceOf(known.get(first), key) ?? key
      return formOf(found, n ?? 1).replace(/\{(\w+)\}/g, (hole, name: string) => String(params[name] ?? hole))
    },
    install: (app) => void app.provide(provided, sentences),
  }
  return sentences
}

/** The words of the pages this component is in. */
export function useSentences(): Sentences {
  const sentences = inject(provided)
  if (!sentences) throw new Error('these pages were given no sentences')
  return sentences
}
