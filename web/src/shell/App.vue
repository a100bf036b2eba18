<script setup lang="ts">
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import { useTheme } from 'vuetify'
import { useFloor } from '../shared/look/useFloor.ts'
import { usePageTitle } from '../shared/pageTitle.ts'
import NavRail from './NavRail.vue'

// The guide and what reads it are fetched when they are asked for.
const HelpPanel = defineAsyncComponent(() => import('./HelpPanel.vue'))

const { t } = useI18n()
const route = useRoute()
const helped = ref(false)
/** The first Tab stop leads past the navigation: to the running order or the class book, otherwise to the page itself. */
function onSkip() {
  const main = document.querySelector<HTMLElement>('main')
  const grid = main?.querySelector<HTMLElement>('[role="grid"] [tabindex="0"]')
  if (main && !grid) main.tabIndex = -1
  ;(grid ?? main)?.focus()
}
const theme = useTheme()
const { isNight } = useFloor()
watch(isNight, (night) => theme.change(night ? 'night' : 'day'), { immediate: true })
const bare = computed(() => route.meta.open || route.meta.bare)
// A page that shows a document names itself after it.
usePageTitle(() => (route.meta.title ? t(route.meta.title) : undefined))
</script>

<template>
  <v-app>
    <div class="shell" :class="{ bare, helped: helped && !bare }">
      <button v-if="!bare" type="button" class="skip" @click="onSkip">{{ t('nav.skip') }}</button>
      <NavRail v-if="!bare" :helped="helped" @help="helped = !helped" />
      <router-view />
      <HelpPanel v-if="helped && !bare" :view="String(route.name)" @close="helped = false" />
    </div>
  </v-app>
</template>

<style scoped>
.shell {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr);
  min-height: 100vh;
}
/* Seen only while it has the focus. */
.skip {
  position: fixed;
  z-index: 1200;
  top: -60px;
  left: 12px;
  padding: 10px 16px;
  border: 1px solid var(--action);
  border-radius: var(--corner);
  background: var(--card);
  color: var(--action);
  font: 700 15px var(--text);
}
.skip:focus {
  top: 12px;
}
.shell.bare {
  grid-template-columns: minmax(0, 1fr);
}
@media (min-width: 1600px) {
  .shell.helped {
    grid-template-columns: 64px minmax(0, 1fr) 320px;
  }
}
@media (max-width: 640px) {
  .shell {
    grid-template-columns: minmax(0, 1fr);
    /* The bar at the bottom covers nothing. */
    padding-bottom: 60px;
  }
}
@media print {
  .shell {
    display: block;
  }
}
</style>
