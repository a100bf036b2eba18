<script setup lang="ts">
import { computed } from 'vue'
import { useSentences } from '../shared/sentences.ts'
import KitPicture from './KitPicture.vue'
import { type Publication } from '@esfuerzo/core/publication'

/** One thing to fetch, its stand-ins, and what a child asks first. */
const props = defineProps<{
  item: Publication['kit'][number]
  /** Looks up a text of the library in the page's language. */
  phrase: (text: string) => string
}>()
const { t } = useSentences()
const name = computed(() => props.phrase(props.item.name))
const taken = computed(() => (props.item.standIn ? props.phrase(props.item.standIn) : name.value))
</script>

<template>
  <li>
    <KitPicture :kit="item.id" />
    <span>
      {{ t(item.optional ? 'front.nice' : 'front.kit', { name: taken }) }}
      <span v-if="item.standIn" class="quiet">{{ t('front.inPlace', { name }) }}</span>
      <span v-else-if="item.standIns.length" class="quiet">{{
        t('front.orElse', { list: item.standIns.map(phrase).join(', ') })
      }}</span>
      <span v-if="item.ask" class="ask">{{ phrase(item.ask) }}</span>
    </span>
  </li>
</template>

<style scoped>
li {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-left: -22px;
}
.ask {
  display: block;
  font-weight: 700;
}
</style>
