import '../shared/look/fonts.css'
import '../shared/look/tokens.css'
import './family.css'
import { createApp } from 'vue'
import { v4 as uuid } from 'uuid'
import { config } from 'zod/mini'
import App from './App.vue'
import { installApp } from './installApp.ts'
import { router } from './router.ts'
import { adoptFirstRecords } from './firstRecords.ts'
import { lifeStore } from './lifeStore.ts'
import { runs } from './runs.ts'
import { familySentences } from './useLanguage.ts'

// The content security policy forbids code made at run time, which Zod's fast path needs.
config({ jitless: true })

createApp(App).use(familySentences()).use(router).mount('#app')

// What could not be sent last time is sent now, and whenever the network returns.
void adoptFirstRecords(lifeStore, uuid, localStorage).finally(() => runs.sendWaiting())
addEventListener('online', () => void runs.sendWaiting())
installApp(router)
