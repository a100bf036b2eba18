<script setup lang="ts">
import {
  mdiAccountGroupOutline,
  mdiCalendarMonthOutline,
  mdiCogOutline,
  mdiFormatListText,
  mdiHelpCircleOutline,
  mdiHomeVariantOutline,
  mdiLogoutVariant,
  mdiRun,
  mdiTapeMeasure,
} from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useRoute } from 'vue-router'
import SignOutDialog from '../account/SignOutDialog.vue'
import { useSignOut } from '../account/useSignOut.ts'
import { useAccount } from '../signin/account.ts'
import MarkLogo from '../shared/look/MarkLogo.vue'

defineProps<{ helped: boolean }>()
const emit = defineEmits<{ help: [] }>()
const { t } = useI18n()
const account = useAccount()
const route = useRoute()
const out = useSignOut()
const onClasses = computed(() => route.path.startsWith('/classes'))
const onTests = computed(() => route.path.startsWith('/tests'))
const onTerms = computed(() => route.path.startsWith('/term'))
const onSettings = computed(() => route.name === 'settings' || route.name === 'account')
const onMoves = computed(() => route.path.startsWith('/moves'))
</script>

<template>
  <nav class="rail" :aria-label="t('nav.label')">
    <MarkLogo />
    <router-link :to="{ name: 'desk' }" :class="{ on: route.name === 'desk' || route.name === 'bin' }">
      <v-icon :icon="mdiHomeVariantOutline" size="20" />{{ t('nav.desk') }}
    </router-link>
    <router-link
      v-if="route.params.id && !onTerms"
      :to="{ name: 'compose', params: { id: route.params.id } }"
      :class="{ on: route.name === 'compose' || route.name === 'handout' }"
    >
      <v-icon :icon="mdiFormatListText" size="20" />{{ t('nav.session') }}
    </router-link>
    <router-link :to="{ name: 'moves' }" :class="{ on: onMoves }">
      <v-icon :icon="mdiRun" size="20" />{{ t('nav.moves') }}
    </router-link>
    <router-link :to="{ name: 'tests' }" :class="{ on: onTests }">
      <v-icon :icon="mdiTapeMeasure" size="20" />{{ t('nav.tests') }}
    </router-link>
    <router-link :to="{ name: 'classes' }" :class="{ on: onClasses }">
      <v-icon :icon="mdiAccountGroupOutline" size="20" />{{ t('nav.classes') }}
    </router-link>
    <router-link :to="{ name: 'terms' }" :class="{ on: onTerms }">
      <v-icon :icon="mdiCalendarMonthOutline" size="20" />{{ t('nav.terms') }}
    </router-link>
    <router-link :to="{ name: 'settings' }" class="last" :class="{ on: onSettings }">
      <v-icon :icon="mdiCogOutline" size="20" />{{ t('nav.settings') }}
    </router-link>
    <button id="help-button" type="button" :class="{ on: helped }" :aria-pressed="helped" @click="emit('help')">
      <v-icon :icon="mdiHelpCircleOutline" size="20" />{{ t('help.title') }}
    </button>
    <button type="button" :title="account.teacher?.email" @click="out.ask()">
      <v-icon :icon="mdiLogoutVariant" size="20" />{{ t('nav.signOut') }}
    </button>
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
a,
button {
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
a.on,
button.on {
  background: var(--action-soft);
  color: var(--action);
  font-weight: 700;
}
.last {
  margin-top: auto;
}
@media (max-width: 640px) {
  .rail {
    position: static;
    flex-direction: row;
    height: auto;
    padding: 4px 8px;
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }
  .rail > svg {
    margin: 0 6px 0 0;
  }
  .last {
    margin: 0 0 0 auto;
  }
}
</style>
