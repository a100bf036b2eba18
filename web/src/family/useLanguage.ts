import { useLocalStorage } from '@vueuse/core'
import { watch } from 'vue'
import { languageOf, type Language } from '@esfuerzo/core'
import { createSentences, useSentences, type Sentences } from '../shared/sentences.ts'
import playerEn from '../player/locales/en.json'
import en from './locales/en.json'

const chosen = useLocalStorage<Language | ''>('esfuerzo-language', '')

/** The page's language: chosen on this device, otherwise the device's. */
export const startLanguage = (): Language => chosen.value || languageOf(navigator.languages)

/** The words of the family pages; Spanish is loaded when used. */
export const familySentences = (): Sentences => createSentences('en', { ...en, ...playerEn })

async function spanish() {
  const [family, player] = await Promise.all([import('./locales/es.json'), import('../player/locales/es.json')])
  return { ...family.default, ...player.default }
}

/** The language of the pages, and changing it; the choice is kept on this device. */
export function useLanguage() {
  const { locale, has, add } = useSentences()
  async function speak(language: Language) {
    if (!has(language)) add(language, await spanish())
    locale.value = language
  }
  async function choose(language: Language) {
    chosen.value = language
    await speak(language)
  }
  watch(locale, (language) => document.documentElement.setAttribute('lang', language), { immediate: true })
  return { locale, speak, choose }
}
