<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Language } from '@esfuerzo/core'
import { findingText } from '@esfuerzo/core/checks'
import { mostNewMoves, mostThings, type Coverage, type CoverageKind, type TermFinding } from '@esfuerzo/core/term'

/** What a term contains, week by week: once, repeated, missing, by a sign and its number. */
const props = defineProps<{ coverage: Coverage; weeks: number; findings: readonly TermFinding[] }>()
const emit = defineEmits<{ gap: [kind: CoverageKind, id: string] }>()
const { t, locale } = useI18n()
/** Findings of one check are shown together, with the reason once. */
const said = computed(() => {
  const byRule = new Map<string, { whats: string[]; why: string }>()
  for (const finding of props.findings) {
    const { what, why } = findingText(finding, locale.value as Language)
    byRule.set(finding.rule, { whats: [...(byRule.get(finding.rule)?.whats ?? []), what], why })
  }
  return [...byRule].map(([rule, { whats, why }]) => ({ rule, whats, why }))
})

const words: Record<CoverageKind, (id: string) => string> = {
  families: (id) => t(`family.${id}`),
  categories: (id) => t(`category.${id}`),
  builds: (id) => t(`builds.${id}`),
  regions: (id) => t(`region.${id}`),
  parts: (id) => t(`term.part.${id}`),
}
const groups = computed(() =>
  (Object.keys(words) as CoverageKind[]).map((kind) => ({
    kind,
    rows: props.coverage.rows.filter((row) => row.kind === kind).map((row) => ({ ...row, name: words[kind](row.id) })),
  })),
)
/** Exercises new to a class, and things it fetches, week by week. */
const byWeek = computed(() => [
  { id: 'newMoves', counts: props.coverage.weeks.map((w) => w.newMoves.length), many: mostNewMoves },
  { id: 'things', counts: props.coverage.weeks.map((w) => w.things.length), many: mostThings },
])
const state = (total: number) =>
  t(total === 0 ? 'term.missing' : total === 1 ? 'term.once' : 'term.timesIn', { n: total })
</script>

<template>
  <section v-if="said.length" :aria-label="t('term.look')">
    <h2>{{ t('term.look') }}</h2>
    <ul>
      <li v-for="{ rule, whats, why } in said" :key="rule">
        <template v-for="what in whats" :key="what">{{ what }}<br /></template>
        <small class="quiet">{{ why }}</small>
      </li>
    </ul>
  </section>
  <div class="scroll">
    <table>
      <caption class="out-of-sight">
        {{ t('term.coverageHow') }}
      </caption>
      <thead>
        <tr>
          <td />
          <th v-for="n in weeks" :key="n" scope="col" class="num">{{ n }}</th>
          <td />
        </tr>
      </thead>
      <tbody v-for="{ kind, rows } in groups" :key="kind">
        <tr v-if="rows.length">
          <th scope="rowgroup" :colspan="weeks + 2">{{ t(`term.kind.${kind}`) }}</th>
        </tr>
        <tr v-for="row in rows" :key="row.id">
          <th scope="row">{{ row.name }}</th>
          <td v-for="(n, week) in row.weeks" :key="week" :class="{ there: n, twice: n > 1 }">
            <span class="out-of-sight">{{ n || '' }}</span>
          </td>
          <td class="state">
            <button v-if="row.total < 2" type="button" class="link" @click="emit('gap', row.kind, row.id)">
              {{ state(row.total) }}
            </button>
            <span v-else class="quiet num">{{ state(row.total) }}</span>
          </td>
        </tr>
      </tbody>
      <tbody>
        <tr>
          <th scope="rowgroup" :colspan="weeks + 2">{{ t('term.byWeek') }}</th>
        </tr>
        <tr v-for="{ id, counts, many } in byWeek" :key="id">
          <th scope="row">{{ t(`term.${id}`) }}</th>
          <td v-for="(n, week) in counts" :key="week" class="count num" :class="{ many: n > many }">{{ n || '' }}</td>
          <td />
        </tr>
      </tbody>
    </table>
  </div>
  <p v-if="coverage.forms.length" class="quiet">
    {{ coverage.forms.map(({ form, times }) => `${t(`forms.${form}.name`)} ${times}`).join(' · ') }}
  </p>
</template>

<style scoped>
h2 {
  margin: 0;
  font-size: 16px;
}
ul {
  margin: 4px 0 12px;
  padding-left: 18px;
}
small {
  display: block;
}
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: 14px;
}
th {
  text-align: left;
  font-weight: 400;
  padding: 1px 6px 1px 0;
  white-space: nowrap;
}
th[scope='rowgroup'] {
  font-weight: 700;
  padding-top: 8px;
}
thead th {
  text-align: center;
  padding: 0;
  font-size: 11px;
  letter-spacing: -0.5px;
  color: var(--quiet);
}
tbody td:not(.state):not(:last-child) {
  width: 19px;
  min-width: 15px;
  height: 19px;
  border: 1px solid var(--hair);
}
td.there {
  background: radial-gradient(circle at center, var(--ink) 0 4px, transparent 4.5px);
}
td.twice {
  background: radial-gradient(circle at center, var(--ink) 0 6px, transparent 6.5px);
}
.count {
  text-align: center;
  font-size: 12px;
}
.many {
  font-weight: 700;
  color: var(--care);
}
.state {
  padding-left: 6px;
  white-space: nowrap;
}
p {
  margin: 8px 0 0;
}
</style>
