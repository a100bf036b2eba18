<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { measureSeconds, type Measure, type TestId } from '@esfuerzo/core'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'
import { useSettings } from '../settings/store.ts'

/** One test: what it tells, how it is set up and done, how it counts, and how much it varies. */
const props = defineProps<{ testId: string }>()
const { t, n } = useI18n()
const settings = useSettings()
void settings.load()
const measure = computed(() => library.measures.get(props.testId as TestId))
const figure = computed(() => measure.value && library.figures.get(measure.value.figure))
const grade = (grade: number) => settings.gradeNames[grade] ?? ''
const kitNames = (ids: readonly string[]) => ids.flatMap((id) => library.kit.get(id)?.name ?? []).join(', ')

/** How one value varies, in words. */
function variation({ error, scale, in: unit }: Measure): string {
  if (scale.kind === 'hits') return t('tests.variationHits')
  if (!error) return t('tests.variationNone')
  const value = scale.kind === 'ratio' ? `${n(Math.round((error.value - 1) * 100))} %` : `${n(error.value)} ${unit}`
  return t('tests.variationText', { value, source: error.source })
}

const facts = computed((): [string, string][] => {
  const m = measure.value
  if (!m) return []
  const grades = [
    m.fromGrade === 0 ? t('tests.fromAll') : t('tests.from', { grade: grade(m.fromGrade) }),
    ...(m.gameUpTo === undefined ? [] : [t('tests.game', { grade: grade(m.gameUpTo) })]),
  ]
  const caps = m.caps.map((c) => t('tests.capText', { value: c.value, unit: m.in, grade: grade(c.fromGrade) }))
  const place = [m.metres && t('tests.metres', { n: n(m.metres) }), t(m.thud ? 'tests.thud' : 'tests.quiet')]
  return [
    ['grades', grades.join(', ')],
    ['tries', t(`tests.triesText.${m.score}`, { n: m.trials, unit: m.in }, m.trials)],
    ['better', t(`tests.betterWord.${m.better}`)],
    ...(caps.length ? ([['cap', caps.join(', ')]] as [string, string][]) : []),
    ['variation', variation(m)],
    ['warm', t(`tests.warmWord.${m.warm}`)],
    ['by', t(`tests.byWord.${m.by}`)],
    ['shoes', t(`tests.shoesWord.${m.shoes}`)],
    ['place', place.filter(Boolean).join(', ')],
    ['takes', t('tests.takesText', { n: Math.max(1, Math.round(measureSeconds(m, m.trials) / 60)) })],
  ]
})
</script>

<template>
  <main v-if="measure" class="page">
    <router-link :to="{ name: 'tests' }" class="back">{{ t('tests.back') }}</router-link>
    <h1>{{ measure.name }}</h1>
    <p class="quiet">{{ measure.tells }} · {{ t(`tests.use.${measure.use}`) }}</p>
    <p v-for="caution in measure.cautions" :key="caution" class="care-note">{{ caution }}</p>
    <div class="columns">
      <section>
        <MoveFigure v-if="figure" :figure="figure" :size="190" :cycle="6" />
        <h2>{{ t('tests.steps') }}</h2>
        <ol>
          <li v-for="step in measure.steps" :key="step">{{ step }}</li>
        </ol>
        <p v-if="measure.practice"><b>{{ t('tests.practice') }}:</b> {{ measure.practice }}</p>
        <p><b>{{ t('tests.ends') }}:</b> {{ measure.ends }}</p>
      </section>
      <section>
        <h2>{{ t('tests.facts') }}</h2>
        <dl>
          <template v-for="[name, text] in facts" :key="name">
            <dt>{{ t(`tests.${name}`) }}</dt>
            <dd>{{ text }}</dd>
          </template>
        </dl>
        <h2>{{ t('tests.setUps') }}</h2>
        <p v-if="measure.setUps.length > 1" class="quiet">{{ t('tests.setUpsLead') }}</p>
        <ul>
          <li v-for="s in measure.setUps" :key="s.id">
            <b>{{ s.name }}</b>
            <span>{{ s.how }}</span>
            <small v-if="s.kit.length" class="quiet">{{ kitNames(s.kit) }}</small>
          </li>
        </ul>
        <h2>{{ t('tests.notes') }}</h2>
        <p v-for="note in measure.notes" :key="note">{{ note }}</p>
      </section>
    </div>
  </main>
  <main v-else class="page">
    <h1>{{ t('lost.title') }}</h1>
    <router-link :to="{ name: 'tests' }">{{ t('tests.back') }}</router-link>
  </main>
</template>

<style scoped>
.page {
  padding: 18px 24px 24px;
  display: grid;
  gap: 6px;
  align-content: start;
  max-width: 1080px;
}
h2 {
  font-size: 17px;
  margin-top: 12px;
}
p {
  margin: 4px 0 0;
  max-width: 70ch;
}
.columns {
  display: grid;
  grid-template-columns: 1fr 1.2fr;
  gap: 12px 32px;
}
@media (max-width: 900px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
dl {
  margin: 4px 0 0;
  display: grid;
  grid-template-columns: 8em 1fr;
  gap: 4px 12px;
}
dt {
  color: var(--quiet);
}
dd {
  margin: 0;
}
ol,
ul {
  margin: 4px 0 0;
  padding-left: 1.2em;
}
li + li {
  margin-top: 6px;
}
li > span,
li > small {
  display: block;
}
</style>
