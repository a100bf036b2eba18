<script setup lang="ts">
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import MoveFigure from '../shared/figure/MoveFigure.vue'
import { library } from '../repertoire/library.ts'
import { useSettings } from '../settings/store.ts'

/** All tests: those for comparing over a term, those for the lesson, and the ones we leave out on purpose. */
const { t, tm } = useI18n()
const settings = useSettings()
void settings.load()
const groups = computed(() =>
  (['change', 'lesson'] as const).map((use) => ({
    use,
    tests: [...library.measures.values()].filter((m) => m.use === use),
  })),
)
const grade = (from: number) =>
  from === 0 ? t('tests.fromAll') : t('tests.from', { grade: settings.gradeNames[from] })
const never = computed(() => tm('tests.neverList') as unknown as string[])
</script>

<template>
  <main class="page">
    <h1>{{ t('tests.title') }}</h1>
    <p class="quiet">{{ t('tests.lead') }}</p>
    <p class="quiet">{{ t('tests.day') }}</p>
    <section v-for="{ use, tests } in groups" :key="use">
      <h2>{{ t(`tests.use.${use}`) }}</h2>
      <p class="quiet">{{ t(`tests.useLead.${use}`) }}</p>
      <ul>
        <li v-for="m in tests" :key="m.id">
          <router-link :to="{ name: 'test', params: { test: m.id } }" class="card">
            <MoveFigure
              v-if="library.figures.get(m.figure)"
              :figure="library.figures.get(m.figure)!"
              :size="64"
              paused
            />
            <span>
              <b>{{ m.name }}</b>
              <span>{{ m.tells }}</span>
              <small class="quiet">{{ grade(m.fromGrade) }} · {{ m.in }}</small>
            </span>
          </router-link>
        </li>
      </ul>
    </section>
    <section class="card never">
      <h2>{{ t('tests.never') }}</h2>
      <p>{{ t('tests.neverLead') }}</p>
      <ul>
        <li v-for="line in never" :key="line">{{ line }}</li>
      </ul>
    </section>
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
  font-size: 18px;
  margin-top: 12px;
}
p {
  margin: 0;
  max-width: 80ch;
}
section > ul {
  margin: 8px 0 0;
  display: grid;
  gap: 10px;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
}
a.card {
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 10px 14px;
  height: 100%;
  color: var(--ink);
  text-decoration: none;
}
a.card > span {
  display: grid;
  gap: 2px;
}
a.card:hover b,
a.card:focus-visible b {
  text-decoration: underline;
}
.never {
  margin-top: 14px;
  padding: 4px 16px 14px;
}
.never > ul {
  list-style: disc;
  padding-left: 1.2em;
  gap: 2px;
}
</style>
