<script setup lang="ts">
import { useTemplateRef } from 'vue'
import { useDraggable } from '../order/useOrderDrag.ts'

/** An exercise that can be dragged from the list into the running order. */
const props = defineProps<{ move: string }>()
const root = useTemplateRef('root')
useDraggable(root, () => ({ kind: 'move', move: props.move }))
</script>

<template>
  <div ref="root" class="move"><slot /></div>
</template>

<style scoped>
.move {
  display: grid;
  grid-template-columns: 48px 1fr 20px;
  align-items: center;
  gap: 8px;
  padding: 4px 0;
}
</style>
