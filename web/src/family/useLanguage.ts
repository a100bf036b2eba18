import { useLocalStorage } from '@vueuse/core'
import { watch } from 'vue'
import { createI18n, useI18n, type I18n } from 'vue-i18n'
import { languageOf, type Language } from '@esfuerzo/core'
import playerEn from '../player/locales/en.json'
import en from './locales/en.json'

const chosen = useLocalStorage<Language | ''>('esfuerzo-language', '')

/** What the page speaks: what was chosen on this device, else what the device is set to. */
export const startLanguage = (): Language => chosen.value || languageOf(navigator.languages)

/** The words of the family's pages; Spanish is fetched where it is spoken. */
export function familyI18n(): I18n {
  const i18n = createI18n({
    legacy: false,
    locale: 'en',
    fallbackLocale: 'en',
    messages: { en: { ...en, ...playerEn } },
  })
  return i18n as unknown as I18n
}

async function spanish() {
  const [family, player] = await Promise.all([import('./locales/es.json'), import('../player/locales/es.json')])
  return { ...family.default, ...player.default }
}

/** Which language the pages are in, and changing it; the choice holds on this device. */
export function useLanguage() {
  const { locale, availableLocales, setLocaleMessage } = useI18n({ useScope: 'global' })
  async function speak(language: Language) {
    if (!availableLocales.includes(language)) setLocaleMessage(language, await spanish())
    locale.value = language
  }
  async function choose(language: Language) {
    chosen.value = language
    await speak(language)
  }
  watch(locale, (language) => document.documentElement.setAttribute('lang', language), { immediate: true })
  return { locale, speak, choose }
}
