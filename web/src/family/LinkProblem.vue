<script setup lang="ts">
import { computed } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import type { CallError } from '@esfuerzo/contract'

const props = defineProps<{ code: CallError['code'] }>()
defineEmits<{ again: [] }>()
const { t } = useSentences()
const kind = computed(() => (props.code === 'ended' || props.code === 'not-found' ? props.code : 'away'))
</script>

<template>
  <main class="page">
    <h1>{{ t(`problem.${kind}.title`) }}</h1>
    <p>{{ t(`problem.${kind}.text`) }}</p>
    <p>
      <button v-if="kind === 'away'" type="button" class="main" @click="$emit('again')">
        {{ t('problem.again') }}
      </button>
    </p>
  </main>
</template>
