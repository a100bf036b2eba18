<script setup lang="ts" generic="T extends string | number">
import { useId } from 'vue'

/** One of a few choices side by side; native radio buttons, so that arrow keys move between them. */
defineProps<{ choices: readonly T[]; label: string }>()
const chosen = defineModel<T>({ required: true })
defineSlots<{ default?: (props: { choice: T }) => unknown }>()
const name = useId()
</script>

<template>
  <div class="bar" role="radiogroup" :aria-label="label">
    <label v-for="choice in choices" :key="choice">
      <input v-model="chosen" type="radio" class="out-of-sight" :name="name" :value="choice" />
      <slot :choice="choice" />
    </label>
  </div>
</template>

<style scoped>
.bar {
  display: flex;
  border: 1px solid var(--line);
  border-radius: var(--corner);
}
label {
  position: relative;
  flex: 1;
  display: flex;
  align-items: center;
  justify-content: center;
  min-height: 40px;
  border-left: 1px solid var(--line);
  font-size: 14px;
  cursor: pointer;
}
label:first-child {
  border-left: 0;
}
label:has(:checked) {
  background: var(--action-soft);
  font-weight: 700;
}
label:has(:focus-visible) {
  outline: 3px solid var(--action);
  outline-offset: -1px;
}
</style>
