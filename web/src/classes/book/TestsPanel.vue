<script setup lang="ts">
import { useI18n } from 'vue-i18n'
import type { Pupil, TestOverDates } from '@esfuerzo/contract'
import TestCard from './TestCard.vue'

/**
 * Tests over the days they were measured on, pupils by alias: only comparable results are compared. They are typed into their session's
 * book.
 */
const props = defineProps<{ tests: readonly TestOverDates[]; pupils: readonly Pupil[]; grade: number }>()
const emit = defineEmits<{ open: [publicationId: string] }>()
const { t } = useI18n()
/** The same test with the same set-up, before and after a lesson's work. */
const before = (test: TestOverDates) =>
  test.moment === 'after'
    ? props.tests.find((b) => b.moment === 'before' && b.test === test.test && b.setUp === test.setUp)
    : undefined
</script>

<template>
  <p v-if="!tests.length" class="card empty">{{ t('book.noTests') }}</p>
  <TestCard
    v-for="test in tests"
    :key="`${test.test} ${test.unit} ${test.setUp} ${test.moment}`"
    :test="test"
    :before="before(test)"
    :pupils="pupils"
    :grade="grade"
    @open="emit('open', $event)"
  />
</template>

<style scoped>
.empty {
  padding: 16px;
}
</style>
