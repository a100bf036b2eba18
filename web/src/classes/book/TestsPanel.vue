<script setup lang="ts">
import { DateTime } from 'luxon'
import { useI18n } from 'vue-i18n'
import type { Pupil, TestOverDates } from '@esfuerzo/contract'
import { testChange } from '@esfuerzo/core/change'

/** Tests over the days they were measured on, pupils by alias: only like beside like. They are typed in with their session. */
const props = defineProps<{ tests: readonly TestOverDates[]; pupils: readonly Pupil[] }>()
const emit = defineEmits<{ open: [publicationId: string] }>()
const { t, locale } = useI18n()
const day = (iso: string) => DateTime.fromISO(iso).setLocale(locale.value).toFormat('d LLL yyyy')
/** A pupil's tries of a day, in their order. */
const tries = (test: TestOverDates, pupil: string, key: string) =>
  test.values
    .filter((v) => v.pupil === pupil && v.day === key)
    .map((v) => v.value)
    .join(' · ')
/** Which measurement of a session it is, where there are several. */
function nth(test: TestOverDates, i: number): string {
  const same = test.days.filter((d) => d.publicationId === test.days[i]!.publicationId)
  return same.length > 1 ? t('book.nthTime', { n: same.indexOf(test.days[i]!) + 1 }) : ''
}
/** A change of the class in words: of centimetres as they are, of holds and reps in per cent. */
function changeText(test: TestOverDates): string {
  const found = testChange(
    test.test,
    test.days.map((d) => d.key),
    test.values,
  )
  if (!found) return t('book.change.tooFew')
  const { median, interval, both, any, kind } = found
  const said = (change: number) => {
    const n = kind === 'ratio' ? Math.round((Math.exp(change) - 1) * 100) : Math.round(change * 10) / 10
    return `${n > 0 ? '+' : ''}${n}${kind === 'ratio' ? ' %' : ` ${t(`book.testUnit.${test.test}`)}`}`
  }
  const [from, to] = [said(interval!.from), said(interval!.to)]
  const word = interval!.from > 0 ? 'more' : interval!.to < 0 ? 'less' : 'open'
  return t(`book.change.${word}`, { median: said(median), from, to, both, any })
}
const measured = (test: TestOverDates) => props.pupils.filter((p) => test.values.some((v) => v.pupil === p.id))
</script>

<template>
  <p v-if="!tests.length" class="card empty">{{ t('book.noTests') }}</p>
  <section v-for="test in tests" :key="`${test.test} ${test.unit}`" class="card">
    <h2>
      {{ t(`book.measured.${test.test}`) }} <small class="quiet">{{ t(`book.testUnit.${test.test}`) }}</small>
    </h2>
    <p>{{ changeText(test) }}</p>
    <div class="frame">
      <table>
        <thead>
          <tr>
            <th scope="col">{{ t('book.alias') }}</th>
            <th v-for="(of, i) in test.days" :key="of.key" scope="col">
              <button type="button" class="link" @click="emit('open', of.publicationId)">{{ day(of.at) }}</button>
              <small class="quiet"
                >{{ of.title }} {{ nth(test, i) }}{{ i === 0 ? ` · ${t('book.tryOut')}` : '' }}</small
              >
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="pupil in measured(test)" :key="pupil.id">
            <th scope="row">{{ pupil.alias }}</th>
            <td v-for="of in test.days" :key="of.key">{{ tries(test, pupil.id, of.key) }}</td>
          </tr>
        </tbody>
      </table>
    </div>
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
}
.empty {
  padding: 16px;
}
.frame {
  overflow-x: auto;
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
</style>
