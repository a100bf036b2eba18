<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import { type Part } from '@esfuerzo/core'
import { useDraggable } from '../order/useOrderDrag.ts'

/** The handle to drag a saved part; the button beside it does the same. */
const props = defineProps<{ part: Part; icon: string }>()
const { t } = useI18n()
const root = useTemplateRef('root')
useDraggable(root, () => ({ kind: 'part', part: props.part }))
</script>

<template>
  <span ref="root" class="handle quiet" :title="t('order.drag')"><v-icon :icon="icon" size="20" /></span>
</template>

<style scoped>
.handle {
  cursor: grab;
}
</style>
