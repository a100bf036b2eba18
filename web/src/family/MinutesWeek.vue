<script setup lang="ts">
import { computed } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import { mostMinutes, weekOf, type ChildBook } from './book.ts'

/** Minutes moved this week, of any kind: five more or less per tap. No goal, no streak, nothing to lose. */
const props = defineProps<{ moved: ChildBook['moved']; now: Date }>()
const emit = defineEmits<{ set: [day: string, minutes: number] }>()
const { t, locale } = useSentences()
const days = computed(() => weekOf(props.now))
const today = computed(() => days.value[(props.now.getDay() + 6) % 7])
const name = (day: string, weekday: 'short' | 'long') =>
  new Date(`${day}T12:00:00`).toLocaleDateString(locale.value, { weekday })
const minutes = (day: string) => props.moved[day] ?? 0
const sum = computed(() => days.value.reduce((total, day) => total + minutes(day), 0))
const change = (day: string, by: number) => emit('set', day, Math.min(mostMinutes, Math.max(0, minutes(day) + by)))
</script>

<template>
  <ol>
    <li v-for="day in days" :key="day" :class="{ today: day === today }">
      <span :aria-label="name(day, 'long')">{{ name(day, 'short') }}</span>
      <button type="button" :aria-label="t('book.lessOn', { day: name(day, 'long') })" @click="change(day, -5)">
        {{ t('book.minus') }}
      </button>
      <b class="num">{{ minutes(day) }}</b>
      <button type="button" :aria-label="t('book.moreOn', { day: name(day, 'long') })" @click="change(day, 5)">
        {{ t('book.plus') }}
      </button>
    </li>
  </ol>
  <p role="status">
    <b>{{ t('book.week', { n: sum }, sum) }}</b>
  </p>
</template>

<style scoped>
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
li {
  display: grid;
  grid-template-columns: 3.5em 56px 3em 56px;
  align-items: center;
  gap: 8px;
}
li b {
  text-align: center;
}
.today span {
  font-weight: 700;
}
button {
  min-height: 44px;
  padding: 0;
}
p {
  margin: 10px 0 0;
}
</style>
