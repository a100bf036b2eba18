<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiContentDuplicate, mdiDeleteOutline, mdiPlay, mdiTrayArrowDown } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useComposer } from '../store.ts'
import { rowEdits } from '../edits/rowEdits.ts'
import { useKeptParts } from './keptParts.ts'

/** What can be done with the rows that are taken, for the mouse; the keys are in the sheet behind "?". */
const emit = defineEmits<{ play: [] }>()
const { t } = useI18n()
const composer = useComposer()
const kept = useKeptParts()
const edits = computed(() => rowEdits(composer.selectedRows))
const one = computed(() => composer.selectedRows.length === 1)
const tools = computed(() =>
  edits.value
    ? [
        { name: 'up', icon: mdiArrowUp, act: () => composer.moveRows(-1) },
        { name: 'down', icon: mdiArrowDown, act: () => composer.moveRows(1) },
        { name: 'duplicate', icon: mdiContentDuplicate, act: () => composer.edit(edits.value!.duplicate) },
        { name: 'play', icon: mdiPlay, act: () => emit('play') },
        ...(one.value && composer.selectedRow?.kind !== 'station'
          ? [{ name: 'keep', icon: mdiTrayArrowDown, act: onKeep }]
          : []),
        { name: 'remove', icon: mdiDeleteOutline, act: () => composer.removeRows() },
      ]
    : [],
)
async function onKeep() {
  const part = composer.takenPart()
  if (part) await kept.keep(composer.nameOf(composer.selectedRow!), part)
}
</script>

<template>
  <span class="tools">
    <button
      v-for="tool in tools"
      :key="tool.name"
      type="button"
      :title="t(`row.${tool.name}`)"
      :aria-label="t(`row.${tool.name}`)"
      @click="tool.act"
    >
      <v-icon :icon="tool.icon" size="17" />
    </button>
  </span>
</template>

<style scoped>
.tools {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}
button {
  width: 40px;
  height: 40px;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  padding: 0;
  background: none;
  color: var(--ink);
  cursor: pointer;
}
button:hover {
  background: var(--action-soft);
}
</style>
