<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useSentences } from '../shared/sentences.ts'
import { bookTargets, changeBook, childBook, isTarget, latest, wordsLearnt, type ChildBook } from './book.ts'
import LanguageChoice from './LanguageChoice.vue'
import MinutesWeek from './MinutesWeek.vue'
import { keptPupils, pupilId, type KeptPupil } from './pupils.ts'

/** A child's own book, on this device only: last time, its target, minutes moved this week, the words it learned. */
const { t, locale } = useSentences()
const route = useRoute()
const pupils = shallowRef<KeptPupil[]>([])
/** Whose book is open; the device's own if no code was entered. */
const who = ref(typeof route.query.who === 'string' ? route.query.who : '')
const book = shallowRef<ChildBook>()
const now = new Date()
void keptPupils().then((found) => {
  pupils.value = found
  if (!who.value && found.length === 1) who.value = pupilId(found[0]!)
})
watch(who, async (pupil) => (book.value = await childBook(pupil)), { immediate: true })

async function change(next: (book: ChildBook) => ChildBook) {
  if (!book.value) return
  book.value = next(book.value)
  await changeBook(who.value, next)
}
const own = computed(() => (isTarget(book.value?.target) ? '' : (book.value?.target ?? '')))
const onTarget = (target: string) =>
  change(({ target: before, ...rest }) => (target && target !== before ? { ...rest, target } : rest))
const onMinutes = (day: string, minutes: number) => change((b) => ({ ...b, moved: { ...b.moved, [day]: minutes } }))
const done = computed(() => (book.value ? latest(book.value) : []))
const words = computed(() => (book.value ? wordsLearnt(book.value) : []))
const day = (iso: string) => new Date(iso).toLocaleDateString(locale.value, { day: 'numeric', month: 'long' })
const unitText = (unit: string, test: true | undefined) => (test ? unit : t(`book.unit.${unit}`))
const number = (n: number) => n.toLocaleString(locale.value, { maximumFractionDigits: 1 })
</script>

<template>
  <main class="page">
    <h1>{{ t('book.title') }}</h1>
    <p class="quiet">{{ t('book.whereAsked') }}</p>
    <div v-if="pupils.length > 1" class="row" role="group" :aria-label="t('book.whose')">
      <button
        v-for="pupil in pupils"
        :key="pupilId(pupil)"
        type="button"
        :aria-pressed="who === pupilId(pupil)"
        @click="who = pupilId(pupil)"
      >
        {{ pupil.alias }}
      </button>
      <button type="button" :aria-pressed="who === ''" @click="who = ''">{{ t('book.nobody') }}</button>
    </div>
    <template v-if="book">
      <section class="card" aria-labelledby="last">
        <h2 id="last">{{ t('book.last') }}</h2>
        <p v-if="!done.length">{{ t('book.nothing') }}</p>
        <details v-for="({ entry, lines, before }, i) in done" :key="entry.title" :open="i === 0">
          <summary><b>{{ entry.title }}</b> <span class="quiet">{{ day(entry.at) }}</span></summary>
          <p v-if="!lines.length" class="quiet">{{ t('book.ran') }}</p>
          <table v-else>
            <thead>
              <tr>
                <th scope="col" class="out-of-sight">{{ t('book.what') }}</th>
                <th scope="col">{{ t('book.now') }}</th>
                <th scope="col">{{ before ? t('book.before', { date: day(before.at) }) : '' }}</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in lines" :key="line.key">
                <th scope="row">{{ line.name }} <small class="quiet">{{ unitText(line.unit, line.test) }}</small></th>
                <td class="num">{{ number(line.value) }}</td>
                <td class="num quiet">{{ line.last === undefined ? '' : number(line.last) }}</td>
              </tr>
            </tbody>
          </table>
        </details>
      </section>
      <section class="card" aria-labelledby="target">
        <h2 id="target">{{ t('book.target') }}</h2>
        <div class="row">
          <button
            v-for="code in bookTargets"
            :key="code"
            type="button"
            :aria-pressed="book.target === code"
            @click="onTarget(code)"
          >
            {{ t(`book.targets.${code}`) }}
          </button>
        </div>
        <label>
          {{ t('book.own') }}
          <input
            class="words-field"
            :value="own"
            maxlength="60"
            @change="onTarget(($event.target as HTMLInputElement).value.trim())"
          />
        </label>
      </section>
      <section class="card" aria-labelledby="week">
        <h2 id="week">{{ t('book.minutes') }}</h2>
        <p class="quiet">{{ t('book.minutesHow') }}</p>
        <MinutesWeek :moved="book.moved" :now="now" @set="onMinutes" />
      </section>
      <section class="card" aria-labelledby="words">
        <h2 id="words">{{ t('book.words') }}</h2>
        <p v-if="!words.length">{{ t('book.noWords') }}</p>
        <dl>
          <template v-for="w in words" :key="w.word"
            ><dt>{{ w.word }}</dt>
            <dd>{{ w.meaning }}</dd></template
          >
        </dl>
      </section>
    </template>
    <router-link class="button" :to="{ name: 'start' }">{{ t('book.sessions') }}</router-link>
    <LanguageChoice />
  </main>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
label {
  display: grid;
  gap: 4px;
  margin-top: 10px;
}
summary {
  cursor: pointer;
  padding: 8px 0;
}
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 6px 8px 6px 0;
  border-top: 1px solid var(--hair);
  vertical-align: top;
}
td,
thead th:not(:first-child) {
  text-align: right;
}
td.num:not(.quiet) {
  font-weight: 700;
}
dl {
  margin: 0;
}
dt {
  font-weight: 700;
}
dd {
  margin: 0 0 6px;
}
</style>
