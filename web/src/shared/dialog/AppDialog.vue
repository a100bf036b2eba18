<script setup lang="ts">
import { useTemplateRef, type ComponentPublicInstance } from 'vue'
import { focusInto } from './focusBack.ts'
import { useFocusBack } from './useFocusBack.ts'

/**
 * The one dialog: it focuses its first field, keeps the focus inside, closes by Esc, and gives the focus back to what opened it. With
 * `form` it is one, sent by Enter.
 */
const open = defineModel<boolean>({ required: true })
const { width = 720, form } = defineProps<{
  title: string
  /** The widest it gets, in CSS pixels. */
  width?: number
  form?: boolean
}>()
const emit = defineEmits<{ submit: [] }>()
defineSlots<{ default: () => unknown; actions: () => unknown }>()
const card = useTemplateRef<ComponentPublicInstance>('card')
const content = () => card.value?.$el as Element | undefined
useFocusBack(open, content)
/** Content may have focused something else, or have moved it on since. */
function onContent() {
  const now = content()
  if (now && !now.contains(document.activeElement)) focusInto(now)
}
</script>

<template>
  <v-dialog v-model="open" :max-width="width" scrollable :aria-label="title">
    <v-card ref="card" :tag="form ? 'form' : 'div'" @vue:mounted="onContent" @submit.prevent="emit('submit')">
      <v-card-title>{{ title }}</v-card-title>
      <v-card-text><slot /></v-card-text>
      <v-card-actions><slot name="actions" /></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
.v-card-actions {
  flex-wrap: wrap;
}
</style>
