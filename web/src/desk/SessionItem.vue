<script setup lang="ts">
import { mdiContentDuplicate, mdiDeleteOutline } from '@mdi/js'
import { DateTime } from 'luxon'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SessionSummary } from '@esfuerzo/contract'
import LaneKey from '../shared/lanes/LaneKey.vue'

const props = defineProps<{ session: SessionSummary }>()
defineEmits<{ remove: []; startFrom: [] }>()
const { t, locale } = useI18n()
const when = computed(() => {
  const { sentAt, updatedAt } = props.session
  const ago = DateTime.fromISO(sentAt ?? updatedAt).toRelative({ locale: locale.value })
  return t(sentAt ? 'desk.sentAgo' : 'desk.changedAgo', { ago })
})
</script>

<template>
  <li class="item">
    <router-link :to="{ name: 'compose', params: { id: session.id } }">
      <b>{{ session.title }}</b>
      <span class="quiet">{{ t('desk.minutes', { n: session.minutes }) }} · {{ when }}</span>
    </router-link>
    <span class="lanes"><LaneKey v-for="g in session.groups" :key="g.letter" :letter="g.letter" /></span>
    <router-link v-if="session.sentAt" class="runs" :to="{ name: 'handout', params: { id: session.id } }">{{
      t('desk.runs', { n: session.runs })
    }}</router-link>
    <span v-else class="runs quiet">{{ t('desk.draft') }}</span>
    <span class="tools">
      <v-btn
        class="plain"
        :icon="mdiContentDuplicate"
        size="small"
        :aria-label="t('desk.startFrom', { title: session.title })"
        :title="t('desk.startFromShort')"
        @click="$emit('startFrom')"
      />
      <v-btn
        class="plain"
        :icon="mdiDeleteOutline"
        size="small"
        :aria-label="t('desk.remove', { title: session.title })"
        @click="$emit('remove')"
      />
    </span>
  </li>
</template>

<style scoped>
.item {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 128px 84px;
  gap: 14px;
  align-items: center;
  padding: 6px 8px 6px 16px;
  border-top: 1px solid var(--hair);
}
a {
  color: inherit;
  text-decoration: none;
}
a:first-child {
  display: grid;
  padding: 4px 0;
}
a:hover b,
.runs:hover {
  text-decoration: underline;
}
.tools {
  display: inline-flex;
}
.lanes {
  display: inline-flex;
  gap: 12px;
}
a.runs {
  color: var(--action);
  font-weight: 700;
}
.runs {
  padding: 4px 0;
  text-align: right;
}
@media (max-width: 640px) {
  /* A card: what it is, then for whom and its results. */
  .item {
    grid-template: 'title tools' 'lanes runs' / minmax(0, 1fr) auto;
    gap: 0 14px;
    padding: 8px 8px 10px 16px;
  }
  .lanes {
    grid-area: lanes;
  }
  .tools {
    grid-area: tools;
  }
  .runs {
    grid-area: runs;
    padding: 10px 8px 10px 0;
  }
}
</style>
