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

// The content security policy allows no code made at run time; Zod's fast path is such code.
config({ jitless: true })

createApp(App).use(familySentences()).use(router).mount('#app')

// What could not be sent last time goes now, and whenever the network comes back.
void adoptFirstRecords(lifeStore, uuid, localStorage).finally(() => runs.sendWaiting())
addEventListener('online', () => void runs.sendWaiting())
installApp(router)
