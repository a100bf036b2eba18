<script setup lang="ts" generic="Name extends string">
/** Names of views that share one place; each is shown in an element with the id `panel-` and its name. */
defineProps<{
  names: readonly Name[]
  chosen: Name
  label: string
  /** The label of a view. */
  text: (name: Name) => string
}>()
const emit = defineEmits<{ choose: [name: Name] }>()
</script>

<template>
  <div class="tabs" role="tablist" :aria-label="label">
    <button
      v-for="name in names"
      :id="`tab-${name}`"
      :key="name"
      type="button"
      role="tab"
      :aria-selected="chosen === name"
      :aria-controls="`panel-${name}`"
      @click="emit('choose', name)"
    >
      {{ text(name) }}
    </button>
  </div>
</template>

<style scoped>
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  white-space: nowrap;
  border-bottom: 1px solid var(--line);
  margin-bottom: 12px;
}
button {
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  padding: 4px 0 8px;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
@media (max-width: 640px) {
  .tabs {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  button {
    flex: none;
    min-height: 44px;
  }
}
[aria-selected='true'] {
  color: var(--ink);
  font-weight: 700;
  border-color: var(--action);
}
</style>
