import { createI18n } from 'vue-i18n'
import playerEn from '../player/locales/en.json'
import en from './locales/en.json'

/** The teacher's words, English first. */
export const i18n = createI18n({
  legacy: false,
  locale: 'en',
  fallbackLocale: 'en',
  messages: { en: { ...en, ...playerEn } },
})
