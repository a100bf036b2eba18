<script setup lang="ts">
import {
  mdiAccountGroupOutline,
  mdiCalendarMonthOutline,
  mdiCogOutline,
  mdiDotsHorizontal,
  mdiFormatListText,
  mdiHelpCircleOutline,
  mdiHomeVariantOutline,
  mdiLogoutVariant,
  mdiRun,
  mdiTapeMeasure,
} from '@mdi/js'
import { useMediaQuery } from '@vueuse/core'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute, type RouteLocationRaw } from 'vue-router'
import SignOutDialog from '../account/SignOutDialog.vue'
import { useSignOut } from '../account/useSignOut.ts'
import { useAccount } from '../signin/account.ts'
import MarkLogo from '../shared/look/MarkLogo.vue'

/** The way to every view: a rail at the side, on a phone a bar at the bottom with the rest behind *More*. */
defineProps<{ helped: boolean }>()
const emit = defineEmits<{ help: [] }>()
const { t } = useI18n()
const account = useAccount()
const route = useRoute()
const out = useSignOut()
const isPhone = useMediaQuery('(max-width: 640px)')

interface Place {
  to: RouteLocationRaw
  icon: string
  title: string
  on: boolean
  /** On a phone it is in the bar itself. */
  near?: boolean
}
const under = (path: string) => route.path.startsWith(path)
const named = (...names: string[]) => names.includes(String(route.name))
const places = computed((): Place[] => [
  { to: { name: 'desk' }, icon: mdiHomeVariantOutline, title: 'nav.desk', on: named('desk', 'bin'), near: true },
  ...(route.params.id && !under('/term')
    ? [
        {
          to: { name: 'compose', params: { id: route.params.id } },
          icon: mdiFormatListText,
          title: 'nav.session',
          on: named('compose', 'handout'),
          near: true,
        },
      ]
    : []),
  { to: { name: 'moves' }, icon: mdiRun, title: 'nav.moves', on: under('/moves') },
  { to: { name: 'tests' }, icon: mdiTapeMeasure, title: 'nav.tests', on: under('/tests') },
  { to: { name: 'classes' }, icon: mdiAccountGroupOutline, title: 'nav.classes', on: under('/classes'), near: true },
  { to: { name: 'terms' }, icon: mdiCalendarMonthOutline, title: 'nav.terms', on: under('/term'), near: true },
  { to: { name: 'settings' }, icon: mdiCogOutline, title: 'nav.settings', on: named('settings', 'account') },
])
const inBar = computed(() => places.value.filter((place) => place.near || !isPhone.value))
const behindMore = computed(() => places.value.filter((place) => !place.near))
</script>

<template>
  <nav class="rail" :aria-label="t('nav.label')">
    <MarkLogo v-if="!isPhone" />
    <router-link v-for="place in inBar" :key="place.title" :to="place.to" :class="{ on: place.on }">
      <v-icon :icon="place.icon" size="20" />{{ t(place.title) }}
    </router-link>
    <v-menu v-if="isPhone" location="top end">
      <template #activator="{ props }">
        <button id="help-button" type="button" v-bind="props" :class="{ on: helped || behindMore.some((p) => p.on) }">
          <v-icon :icon="mdiDotsHorizontal" size="20" />{{ t('nav.more') }}
        </button>
      </template>
      <v-list>
        <v-list-item
          v-for="place in behindMore"
          :key="place.title"
          :to="place.to"
          :prepend-icon="place.icon"
          :title="t(place.title)"
        />
        <v-list-item :prepend-icon="mdiHelpCircleOutline" :title="t('help.title')" @click="emit('help')" />
        <v-list-item
          :prepend-icon="mdiLogoutVariant"
          :title="t('nav.signOut')"
          :subtitle="account.teacher?.email"
          @click="out.ask()"
        />
      </v-list>
    </v-menu>
    <template v-else>
      <button id="help-button" type="button" :class="{ on: helped }" :aria-pressed="helped" @click="emit('help')">
        <v-icon :icon="mdiHelpCircleOutline" size="20" />{{ t('help.title') }}
      </button>
      <button type="button" :title="account.teacher?.email" @click="out.ask()">
        <v-icon :icon="mdiLogoutVariant" size="20" />{{ t('nav.signOut') }}
      </button>
    </template>
    <SignOutDialog :out="out" />
  </nav>
</template>

<style scoped>
.rail {
  position: sticky;
  top: 0;
  height: 100vh;
  background: var(--card);
  border-right: 1px solid var(--line);
  padding: 14px 0;
  display: flex;
  flex-direction: column;
  align-items: center;
  gap: 6px;
}
.rail > svg {
  margin-bottom: 12px;
}
.rail > a,
.rail > button {
  width: 54px;
  padding: 8px 0 6px;
  border: 0;
  border-radius: var(--corner);
  background: none;
  color: var(--quiet);
  font: 12px/1.3 var(--text);
  text-align: center;
  text-decoration: none;
  cursor: pointer;
  display: grid;
  justify-items: center;
  gap: 2px;
}
.rail > .on {
  background: var(--action-soft);
  color: var(--action);
  font-weight: 700;
}
/* Settings, Help and Sign out are at the end. */
.rail > a:last-of-type {
  margin-top: auto;
}
@media (max-width: 640px) {
  .rail {
    position: fixed;
    z-index: 5;
    inset: auto 0 0;
    flex-direction: row;
    justify-content: space-around;
    height: 60px;
    padding: 4px 8px;
    border-right: 0;
    border-top: 1px solid var(--line);
  }
  .rail > a,
  .rail > a:last-of-type,
  .rail > button {
    flex: 1;
    min-width: 0;
    max-width: 96px;
    min-height: 48px;
    margin: 0;
    align-content: center;
  }
}
</style>
