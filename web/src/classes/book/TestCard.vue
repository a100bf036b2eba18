<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, defineAsyncComponent } from 'vue'
import { useI18n } from 'vue-i18n'
import type { Pupil, TestOverDates } from '@esfuerzo/contract'
import {
  changeOf,
  changeText,
  inLesson,
  likeText,
  measureOfTest,
  sentencesOf,
  variationText,
  wordText,
} from './testText.ts'

/** A test over its days: the change in sentences, each child's own arrow, and all numbers as a table in alias order. */
const props = defineProps<{
  test: TestOverDates
  before: TestOverDates | undefined
  pupils: readonly Pupil[]
  grade: number
}>()
const emit = defineEmits<{ open: [publicationId: string] }>()
const ChangeArrows = defineAsyncComponent(() => import('./ChangeArrows.vue'))
const { t, locale } = useI18n()
const day = (iso: string, format = 'd LLL yyyy') => DateTime.fromISO(iso).setLocale(locale.value).toFormat(format)
const measure = computed(() => measureOfTest(props.test.test))
const measured = computed(() => props.pupils.filter((p) => props.test.values.some((v) => v.pupil === p.id)))
const ids = computed(() => measured.value.map((p) => p.id))
const found = computed(() => measure.value && changeOf(props.test, measure.value, ids.value, props.grade))
const change = computed(() => (found.value && 'class' in found.value ? found.value : undefined))
const sentences = computed(() => (found.value && measure.value ? sentencesOf(found.value, measure.value, t) : []))
const lesson = computed(() => {
  const moved = props.before && measure.value && inLesson(props.before, props.test, measure.value, ids.value)
  const said = moved && `${moved.median > 0 ? '+' : ''}${Math.round(moved.median * 10) / 10} ${measure.value!.in}`
  return moved && t('book.change.inLesson', { median: said, n: moved.children })
})
const changed = computed(() => new Map(change.value?.children.map((child) => [child.pupil, child])))
const since = computed(() => {
  const first = change.value?.sides.before[0]
  const at = first && props.test.days.find((d) => d.key === first.key)?.at
  return at ? day(at, 'd LLL') : ''
})
const arrows = computed(() =>
  (change.value?.children ?? []).map((child) => ({
    before: child.before,
    after: child.after,
    text: t('book.change.whose', {
      alias: measured.value.find((p) => p.id === child.pupil)?.alias,
      before: Math.round(child.before * 10) / 10,
      after: Math.round(child.after * 10) / 10,
      word: wordText(child, measure.value!, t),
    }),
  })),
)
const ends = computed(() => {
  const { before = [], after = [] } = change.value?.sides ?? {}
  const at = (key: string | undefined) => props.test.days.find((d) => d.key === key)?.at ?? ''
  return { from: day(at(before[0]?.key), 'd LLL'), to: day(at(after.at(-1)?.key), 'd LLL') }
})
/** A pupil's tries of a day, in order. */
const tries = (pupil: string, key: string) => props.test.values.filter((v) => v.pupil === pupil && v.day === key)
/** Which measurement of a session it is, if there are several. */
function nth(i: number): string {
  const same = props.test.days.filter((d) => d.publicationId === props.test.days[i]!.publicationId)
  return same.length > 1 ? t('book.nthTime', { n: same.indexOf(props.test.days[i]!) + 1 }) : ''
}
</script>

<template>
  <section class="card">
    <h2>
      {{ measure?.name ?? test.test }} <small class="quiet">{{ measure?.in }}</small>
      <small v-if="measure" class="quiet">{{ likeText(test, measure, t) }}</small>
      <router-link v-if="measure" class="more no-paper" :to="{ name: 'test', params: { test: test.test } }">{{
        t('book.about')
      }}</router-link>
    </h2>
    <p v-for="line in sentences" :key="line" class="said">{{ line }}</p>
    <p v-if="lesson" class="said">{{ lesson }}</p>
    <ChangeArrows
      v-if="change && measure"
      :arrows="arrows"
      :unit="measure.in"
      :label="t('book.change.chart', ends)"
      :hint="t('book.change.who')"
    />
    <div class="frame">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('book.alias') }}</th>
            <th v-for="(d, i) in test.days" :key="d.key" scope="col">
              <button type="button" class="link" @click="emit('open', d.publicationId)">{{ day(d.at) }}</button>
              <small class="quiet">{{ d.title }} {{ nth(i) }}{{ i === 0 ? ` · ${t('book.tryOut')}` : '' }}</small>
            </th>
            <th v-if="change" scope="col">{{ t('book.change.column', { date: since }) }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pupil in measured" :key="pupil.id">
            <th scope="row">{{ pupil.alias }}</th>
            <td v-for="d in test.days" :key="d.key">
              <template v-for="(v, i) in tries(pupil.id, d.key)" :key="v.trial"
                >{{ i ? ' · ' : '' }}{{ v.value
                }}<abbr v-if="v.otherwise" :title="t('book.otherwise', { how: v.otherwise })">{{
                  t('book.star')
                }}</abbr></template
              >
            </td>
            <td v-if="change && measure">
              <template v-if="changed.get(pupil.id)">
                {{
                  t('book.change.child', {
                    change: changeText(changed.get(pupil.id)!.change, measure),
                    word: wordText(changed.get(pupil.id)!, measure, t),
                  })
                }}
                <small v-if="changed.get(pupil.id)!.word !== 'top'" class="quiet">{{
                  t('book.change.variation', { n: variationText(changed.get(pupil.id)!.variation, measure) })
                }}</small>
              </template>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="on-paper">{{ t('book.notOnTheWall') }}</p>
  </section>
</template>

<style scoped>
section {
  margin-bottom: 14px;
  padding: 14px 16px;
}
h2 {
  font-size: 17px;
  margin-bottom: 8px;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
}
.more {
  margin-left: auto;
  font-size: 14px;
  font-weight: 400;
  color: var(--action);
}
.said {
  margin: 0 0 4px;
  max-width: 80ch;
}
.said:first-of-type {
  font-weight: 700;
}
.frame {
  overflow-x: auto;
  margin-top: 10px;
}
table {
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}
th,
td {
  padding: 6px 16px 6px 0;
  text-align: left;
  font-weight: 400;
  border-bottom: 1px solid var(--hair);
}
thead th {
  border-bottom: 2px solid var(--ink);
  vertical-align: bottom;
}
thead small {
  display: block;
}
.on-paper {
  display: none;
}
@media print {
  .on-paper {
    display: block;
    margin-top: 8px;
  }
}
</style>
