<script setup lang="ts">
import { shallowRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import type { SchoolClass } from '@esfuerzo/contract'
import type { ClassPace } from '@esfuerzo/core/change'
import { client } from '../shared/client.ts'
import { useTried } from './useTried.ts'

/** A class's own pace, with its spread: offered once there are enough children, and used if she chooses so. */
const props = defineProps<{ of: SchoolClass }>()
const emit = defineEmits<{ use: [pace: number | null] }>()
const { t } = useI18n()
const { problem, tried } = useTried()
const found = shallowRef<ClassPace | null>()
const load = () =>
  tried(async () => {
    found.value = (await client('readPace', { params: { id: props.of.id } })).pace
  })
watch(() => props.of.id, load, { immediate: true })
const percent = (pace: number) => Math.round((pace - 1) * 100)
/** A pace in words: how much longer or shorter than usual. */
function text(pace: number): string {
  const n = percent(pace)
  return n === 0 ? t('pace.usual') : t(n > 0 ? 'pace.longer' : 'pace.shorter', { n: Math.abs(n) })
}
const signed = (pace: number) => `${percent(pace) > 0 ? '+' : percent(pace) < 0 ? '−' : '±'}${Math.abs(percent(pace))}`
</script>

<template>
  <section class="card">
    <h2>{{ t('pace.title') }}</h2>
    <p v-if="problem" class="care" role="alert">{{ problem }} <v-btn @click="load">{{ t('tryAgain') }}</v-btn></p>
    <template v-if="found">
      <p>
        {{ t('pace.takes', { much: text(found.pace) }) }}
        {{
          t('pace.spread', {
            from: signed(found.quartiles.from),
            to: signed(found.quartiles.to),
            n: found.children,
          })
        }}
      </p>
      <p class="quiet">{{ t('pace.how') }}</p>
      <v-btn v-if="of.pace !== found.pace" @click="emit('use', found.pace)">{{ t('pace.use') }}</v-btn>
    </template>
    <p v-else-if="found === null" class="quiet">{{ t('pace.tooFew') }}</p>
    <p v-if="of.pace !== null">
      {{ t('pace.used', { much: text(of.pace) }) }}
      <v-btn @click="emit('use', null)">{{ t('pace.back') }}</v-btn>
    </p>
  </section>
</template>

<style scoped>
section {
  margin-top: 12px;
  padding: 16px;
  display: grid;
  gap: 8px;
  justify-items: start;
  max-width: 760px;
}
</style>
