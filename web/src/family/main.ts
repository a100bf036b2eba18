import '../shared/look/fonts.css'
import '../shared/look/tokens.css'
import './family.css'
import { createApp } from 'vue'
import { createI18n } from 'vue-i18n'
import { z } from 'zod'
import App from './App.vue'
import playerEn from '../player/locales/en.json'
import en from './locales/en.json'
import { router } from './router.ts'
import { sendQueued } from './runQueue.ts'

// The content security policy allows no code made at run time; Zod's fast path is such code.
z.config({ jitless: true })

createApp(App)
  .use(createI18n({ legacy: false, locale: 'en', fallbackLocale: 'en', messages: { en: { ...en, ...playerEn } } }))
  .use(router)
  .mount('#app')

// What could not be sent last time goes now, and whenever the network comes back.
void sendQueued()
addEventListener('online', () => void sendQueued())
