<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Finding } from '@esfuerzo/core/checks'
import { useCursor } from '../cursor/useCursor.ts'
import FindingLine from './FindingLine.vue'
import { useChecks } from './useChecks.ts'

/** What a thoughtful colleague would say: what is not to go out so, what is worth a look, a few notes. */
const { t } = useI18n()
const checks = useChecks()
const cursor = useCursor()
/** More notes are not read. */
const shown = 3
const asks = computed(() => checks.findings.filter((f) => f.level !== 'note'))
const notes = computed(() => checks.findings.filter((f) => f.level === 'note'))

function onGo({ where }: Finding) {
  const row =
    cursor.rows.find((r) => [where.station, where.block].includes(r.id)) ??
    cursor.rows.find((r) => r.id === where.section)
  if (row) cursor.goTo(row.id)
}
</script>

<template>
  <div class="worth">
    <p class="out-of-sight" aria-live="polite">{{ t('checks.count', { asks: asks.length, notes: notes.length }) }}</p>
    <p v-if="!checks.findings.length" class="quiet">{{ t('checks.none') }}</p>
    <ul>
      <FindingLine
        v-for="(finding, i) in [...asks, ...notes.slice(0, shown)]"
        :key="i"
        :finding="finding"
        @go="onGo(finding)"
      />
    </ul>
    <details v-if="notes.length > shown">
      <summary>{{ t('checks.more', { n: notes.length - shown }) }}</summary>
      <ul>
        <FindingLine v-for="(finding, i) in notes.slice(shown)" :key="i" :finding="finding" @go="onGo(finding)" />
      </ul>
    </details>
    <p class="quiet small">{{ t('checks.lead') }}</p>
  </div>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
.worth {
  display: grid;
  gap: 12px;
  padding-bottom: 14px;
}
summary {
  cursor: pointer;
  padding: 8px 0;
}
p {
  margin: 0;
}
.small {
  font-size: 13px;
}
</style>
