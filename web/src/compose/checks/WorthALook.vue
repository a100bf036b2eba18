<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { hasStations, type Language } from '@esfuerzo/core'
import { findingKey, leaveFinding, reopenFinding, type Finding, type MadeFix } from '@esfuerzo/core/checks'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import { useSession } from '../session/useSession.ts'
import FindingLine from './FindingLine.vue'
import { useChecks } from './useChecks.ts'
import { useFixes } from './useFixes.ts'

/** The tab *Checks*: findings to fix, advice and tips, each with its fixes. */
const { t, locale } = useI18n()
const session = useSession()
const checks = useChecks()
const cursor = useCursor()
const edits = useEdits()
/** More notes are not read. */
const shown = 3
const asks = computed(() => checks.open.filter((f) => f.level !== 'note'))
const notes = computed(() => checks.open.filter((f) => f.level === 'note'))
const fixes = useFixes(
  computed(() => ({
    session: checks.looked,
    findings: checks.open,
    options: checks.options,
    language: locale.value as Language,
  })),
)

/** An empty session has nothing to check. */
const isEmpty = computed(() =>
  session.document.sections.flatMap((s) => s.blocks).every((b) => hasStations(b) && b.stations.length === 0),
)

/** Collapsed lists: more tips, findings from before the session was sent, ignored ones. */
const folds = computed(() =>
  [
    { name: 'more', findings: notes.value.slice(shown) },
    { name: 'before', findings: checks.before },
    { name: 'answered', findings: checks.answered },
  ].filter(({ findings }) => findings.length > 0),
)

function onGo({ where }: Finding) {
  const row =
    cursor.rows.find((r) => [where.station, where.block].includes(r.id)) ??
    cursor.rows.find((r) => r.id === where.section)
  if (row) cursor.goTo(row.id)
}
const onFix = ({ session }: MadeFix) => edits.edit(() => session)
const onLeave = (finding: Finding, reason: string) =>
  edits.edit((now) => leaveFinding(now, { finding: findingKey(finding), reason }))
const onReopen = (finding: Finding) => edits.edit((now) => reopenFinding(now, findingKey(finding)))
/** The edits for a finding, and whether the session has changed since they were made. */
function fixesFor(finding: Finding) {
  const { from, made } = fixes.get(findingKey(finding)) ?? { from: session.document, made: [] }
  return { fixes: made, stale: from !== session.document }
}
/** What a line shows and does, in any of the lists. */
const lineOf = (finding: Finding) => ({
  finding,
  ...fixesFor(finding),
  onGo: () => onGo(finding),
  onFix,
  onLeave: (reason: string) => onLeave(finding, reason),
  onReopen: () => onReopen(finding),
})
</script>

<template>
  <div class="worth">
    <p class="out-of-sight" aria-live="polite">{{ t('checks.count', { asks: asks.length, notes: notes.length }) }}</p>
    <p v-if="!checks.open.length" class="quiet">{{ t(isEmpty ? 'checks.empty' : 'checks.none') }}</p>
    <ul>
      <FindingLine
        v-for="finding in [...asks, ...notes.slice(0, shown)]"
        :key="findingKey(finding)"
        v-bind="lineOf(finding)"
      />
    </ul>
    <details v-for="fold in folds" :key="fold.name">
      <summary>{{ t(`checks.${fold.name}`, { n: fold.findings.length }) }}</summary>
      <ul>
        <FindingLine v-for="finding in fold.findings" :key="findingKey(finding)" v-bind="lineOf(finding)" />
      </ul>
    </details>
    <p class="quiet small">{{ t('checks.lead') }}</p>
  </div>
</template>

<style scoped>
ul {
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
.small {
  font-size: 13px;
}
</style>
