<script setup lang="ts">
import { computed, nextTick, onMounted, ref, useId, useTemplateRef, watch } from 'vue'

export interface Suggestion {
  id: string
  label: string
  detail?: string
}

/** A text field with suggestions below it. The typed text counts until a suggestion is selected with the arrows. */
const props = defineProps<{
  label: string
  suggestions: Suggestion[]
  placeholder?: string
  /** What is wrong with the typed text. */
  problem?: string
  /** How the typed text was read. */
  hint?: string
}>()
const text = defineModel<string>({ required: true })
const emit = defineEmits<{ enter: [chosen: Suggestion | undefined]; cancel: []; tab: [back: boolean]; leave: [] }>()
const at = ref(-1)
const field = useTemplateRef('field')
const id = useId()
const active = computed(() => (at.value >= 0 ? `${id}-${at.value}` : undefined))
watch(
  () => props.suggestions,
  () => (at.value = -1),
)
onMounted(async () => {
  await nextTick()
  field.value?.focus()
  field.value?.select()
})

function onKeydown(event: KeyboardEvent) {
  const last = props.suggestions.length - 1
  const keys: Record<string, (() => void) | undefined> = {
    ArrowDown: last >= 0 ? () => (at.value = Math.min(last, at.value + 1)) : undefined,
    ArrowUp: last >= 0 ? () => (at.value = Math.max(-1, at.value - 1)) : undefined,
    Enter: () => emit('enter', props.suggestions[at.value]),
    Escape: () => emit('cancel'),
    Tab: () => emit('tab', event.shiftKey),
  }
  // Every other key belongs to the text, not to the running order.
  event.stopPropagation()
  const action = keys[event.key]
  if (!action) return
  event.preventDefault()
  action()
}
</script>

<template>
  <div class="suggest">
    <input
      ref="field"
      v-model="text"
      role="combobox"
      aria-autocomplete="list"
      :aria-label="label"
      :aria-expanded="suggestions.length > 0"
      :aria-controls="id"
      :aria-activedescendant="active"
      :aria-invalid="!!problem"
      :aria-describedby="`${id}-word`"
      :placeholder="placeholder"
      autocomplete="off"
      spellcheck="false"
      maxlength="200"
      @keydown="onKeydown"
      @blur="emit('leave')"
    />
    <div class="below">
      <p :id="`${id}-word`" class="word" :class="{ care: problem, empty: !problem && !hint }" aria-live="polite">
        {{ problem || hint }}
      </p>
      <ul :id="id" role="listbox" :aria-label="label" :class="{ empty: !suggestions.length }">
        <!-- The field keeps the focus, so that choosing by mouse does not leave it. -->
        <li
          v-for="(s, i) in suggestions"
          :id="`${id}-${i}`"
          :key="s.id"
          role="option"
          :aria-selected="i === at"
          :class="{ on: i === at }"
          @mousedown.prevent
          @click="emit('enter', s)"
          @keydown.enter="emit('enter', s)"
        >
          <span>{{ s.label }}</span><small v-if="s.detail" class="quiet">{{ s.detail }}</small>
        </li>
      </ul>
    </div>
  </div>
</template>

<style scoped>
.suggest {
  position: relative;
  width: 100%;
}
input {
  width: 100%;
  height: 36px;
  padding: 0 8px;
  border: 2px solid var(--action);
  border-radius: 4px;
  background: var(--card);
  color: var(--ink);
  font: inherit;
}
input:focus-visible {
  outline: none;
}
input::placeholder {
  color: var(--quiet);
  opacity: 1;
}
input[aria-invalid='true'] {
  border-color: var(--care);
}
.below {
  position: absolute;
  top: 100%;
  left: 0;
  z-index: 6;
  min-width: 100%;
  width: max-content;
  max-width: 340px;
  background: var(--card);
  border-radius: 0 0 var(--corner) var(--corner);
  box-shadow: var(--shadow);
}
.word {
  margin: 0;
  padding: 5px 10px;
  font-size: 13px;
  color: var(--quiet);
}
.word.care {
  color: var(--care);
}
.empty {
  display: none;
}
ul {
  border-top: 1px solid var(--hair);
}
li {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  padding: 6px 10px;
  cursor: pointer;
}
li:hover,
li.on {
  background: var(--action-soft);
}
small {
  font-size: 13px;
  white-space: nowrap;
}
</style>
