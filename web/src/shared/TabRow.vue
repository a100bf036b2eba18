<script setup lang="ts" generic="Name extends string">
/** Names of views that share one place; each is shown in an element with the id `panel-` and its name. */
defineProps<{
  names: readonly Name[]
  chosen: Name
  label: string
  /** The label of a view. */
  text: (name: Name) => string
  /** An icon above each label, where there are many and little room. */
  icons?: Record<Name, string>
  /** How many things wait in a view; shown if there are any. */
  waiting?: Partial<Record<Name, number>>
}>()
const emit = defineEmits<{ choose: [name: Name] }>()
</script>

<template>
  <div class="tabs" :class="{ icons }" role="tablist" :aria-label="label">
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
      <v-icon v-if="icons" :icon="icons[name]" size="20" />
      <span>{{ text(name) }}</span>
      <span v-if="waiting?.[name]" class="waiting">{{ waiting[name] }}</span>
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
.icons {
  flex-wrap: nowrap;
  justify-content: space-between;
  gap: 4px;
}
.icons > button {
  position: relative;
  display: grid;
  justify-items: center;
  min-width: 36px;
  padding: 2px 0 5px;
  font-size: 12px;
}
/* In a longer language a label ends at its neighbour; it is read out whole. */
.icons > button > span:not(.waiting) {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.waiting {
  margin-left: 5px;
}
.icons .waiting {
  position: absolute;
  top: -3px;
  left: calc(50% + 6px);
  min-width: 17px;
  padding: 0 4px;
  border-radius: 9px;
  background: var(--care-soft);
  color: var(--care);
  font: 700 11px/17px var(--text);
}
@media (max-width: 640px) {
  .tabs:not(.icons) {
    flex-wrap: nowrap;
    overflow-x: auto;
  }
  button {
    min-height: 44px;
  }
  .tabs:not(.icons) > button {
    flex: none;
  }
}
[aria-selected='true'] {
  color: var(--ink);
  font-weight: 700;
  border-color: var(--action);
}
</style>
