<script setup lang="ts">
import { mdiArrowDown, mdiArrowUp, mdiContentDuplicate, mdiDeleteOutline, mdiPlay, mdiTrayArrowDown } from '@mdi/js'
import { computed } from 'vue'
import { useI18n } from 'vue-i18n'
import { useCursor } from '../cursor/useCursor.ts'
import { useEdits } from '../edits/useEdits.ts'
import { rowEdits } from '../edits/rowEdits.ts'
import { useKeptParts } from './keptParts.ts'

/** Buttons for the selected rows, for the mouse; the keys are in the list behind "?". */
const emit = defineEmits<{ play: [] }>()
const { t } = useI18n()
const cursor = useCursor()
const edits = useEdits()
const kept = useKeptParts()
const taken = computed(() => rowEdits(cursor.selectedRows))
const one = computed(() => cursor.selectedRows.length === 1)
const tools = computed(() =>
  taken.value
    ? [
        { name: 'up', icon: mdiArrowUp, act: () => edits.moveRows(-1) },
        { name: 'down', icon: mdiArrowDown, act: () => edits.moveRows(1) },
        { name: 'duplicate', icon: mdiContentDuplicate, act: () => edits.edit(taken.value!.duplicate) },
        { name: 'play', icon: mdiPlay, act: () => emit('play') },
        ...(one.value && cursor.selectedRow?.kind !== 'station'
          ? [{ name: 'keep', icon: mdiTrayArrowDown, act: onKeep }]
          : []),
        { name: 'remove', icon: mdiDeleteOutline, act: () => edits.removeRows() },
      ]
    : [],
)
async function onKeep() {
  const part = edits.takenPart()
  if (part) await kept.keep(edits.nameOf(cursor.selectedRow!), part)
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
