<script setup lang="ts">
import { computed, ref } from 'vue'
import { type PublishedMeasure } from '@esfuerzo/core/publication'
import { type Result } from '@esfuerzo/core/run'
import { useSentences } from '../../shared/sentences.ts'

/** How a test was done, with one tap: by its rules, or what was different, since only like is compared with like. */
const props = defineProps<{
  measure: PublishedMeasure
  setUp: string | undefined
  moment: string
  ready: boolean
  phrase: (text: string) => string
}>()
const emit = defineEmits<{ done: [how: Result['how']] }>()
const { t } = useSentences()
const asking = ref(false)
const otherSetUp = ref<string>()
const self = ref(false)
const shoes = ref(false)
const cold = ref(false)
const others = computed(() => props.measure.setUps.filter((s) => s.id !== props.setUp))
const shoesWord = computed(() => (props.measure.shoes === 'off' ? 'shoesOn' : 'shoesOff'))
const onDone = () =>
  emit('done', {
    ...(otherSetUp.value && { setUp: otherSetUp.value }),
    ...(self.value && { counted: 'child' as const }),
    ...(shoes.value && { shoes: props.measure.shoes === 'off' ? ('on' as const) : ('off' as const) }),
    ...(cold.value && { warm: false }),
  })
</script>

<template>
  <div v-if="!asking" class="row">
    <button type="button" class="main" :disabled="!ready" @click="emit('done', undefined)">
      {{ t('player.measure.asSaid') }}
    </button>
    <button type="button" :disabled="!ready" @click="asking = true">{{ t('player.measure.other') }}</button>
  </div>
  <div v-else class="what" role="group" :aria-label="t('player.measure.what')">
    <b>{{ t('player.measure.what') }}</b>
    <div class="row">
      <button
        v-for="s in others"
        :key="s.id"
        type="button"
        :aria-pressed="otherSetUp === s.id"
        @click="otherSetUp = otherSetUp === s.id ? undefined : s.id"
      >
        {{ t('player.measure.setUp', { name: phrase(s.name) }) }}
      </button>
      <button type="button" :aria-pressed="self" @click="self = !self">{{ t('player.measure.counted') }}</button>
      <button v-if="measure.shoes !== 'any'" type="button" :aria-pressed="shoes" @click="shoes = !shoes">
        {{ t(`player.measure.${shoesWord}`) }}
      </button>
      <button v-if="moment !== 'before'" type="button" :aria-pressed="cold" @click="cold = !cold">
        {{ t('player.measure.cold') }}
      </button>
    </div>
    <button type="button" class="main" :disabled="!ready" @click="onDone">{{ t('player.measure.save') }}</button>
  </div>
</template>

<style scoped>
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  justify-content: center;
}
.what {
  display: grid;
  gap: 10px;
  justify-items: center;
}
</style>
