<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SigningOut } from './useSignOut.ts'
import AppDialog from '../shared/dialog/AppDialog.vue'

/** Lists unsent work before somebody signs out on a shared device. */
const props = defineProps<{ out: SigningOut }>()
const { t } = useI18n()
const unsent = computed(() => props.out.unsent.value)
</script>

<template>
  <AppDialog :model-value="unsent.length > 0" :title="t('signOut.title')" @update:model-value="out.stay()">
    <p>{{ t('signOut.lead') }}</p>
    <ul>
      <li v-for="(work, i) in unsent" :key="i">
        <router-link :to="work.to" @click="out.stay()">{{ work.title || t('signOut.untitled') }}</router-link>
        <span class="quiet">{{ t(`signOut.kind.${work.kind}`, { n: work.count }, work.count) }}</span>
      </li>
    </ul>
    <p>{{ t('signOut.waiting') }}</p>
    <template #actions>
      <v-btn @click="out.stay()">{{ t('signOut.stay') }}</v-btn>
      <v-btn @click="out.discard()">{{ t('signOut.discard', { n: unsent.length }, unsent.length) }}</v-btn>
      <v-btn class="main" @click="out.download()">{{ t('signOut.download') }}</v-btn>
    </template>
  </AppDialog>
</template>

<style scoped>
ul {
  margin: 10px 0;
  padding-left: 18px;
}
li {
  margin: 4px 0;
}
li .quiet {
  margin-left: 8px;
}
</style>
