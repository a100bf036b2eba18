import '../shared/look/fonts.css'
import '../shared/look/tokens.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import { z } from 'zod'
import App from './App.vue'
import { i18n } from '../words/i18n.ts'
import { playerSentences } from '../words/playerSentences.ts'
import { router } from './router.ts'
import { vuetify } from './vuetify.ts'
import './teacher.css'

// The content security policy allows no code generated at run time, which Zod's fast path uses.
z.config({ jitless: true })

createApp(App).use(createPinia()).use(i18n).use(playerSentences()).use(vuetify).use(router).mount('#app')
