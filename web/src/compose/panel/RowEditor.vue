<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import BlockEditor from './BlockEditor.vue'
import RowTools from './RowTools.vue'
import ScopeToggle from './ScopeToggle.vue'
import SectionEditor from './SectionEditor.vue'
import StationEditor from './StationEditor.vue'
import { useSession } from '../session/useSession.ts'
import { useCursor } from '../cursor/useCursor.ts'

const emit = defineEmits<{ play: [] }>()
const { t } = useI18n()
const session = useSession()
const cursor = useCursor()
const root = useTemplateRef('root')
const scope = ref<'all' | string[]>('all')
const row = computed(() => cursor.selectedRow)

// The cursor's cell decides which groups a change is for, until the teacher chooses otherwise.
watch(
  () => [cursor.selection?.row, cursor.selection?.cell, cursor.cellsTo] as const,
  () => {
    if (!row.value || !cursor.selection) return
    scope.value = cursor.scope === 'all' ? 'all' : [...cursor.scope]
  },
  { immediate: true },
)
defineExpose({ focus: () => root.value?.querySelector<HTMLElement>('input, button, textarea')?.focus() })
</script>

<template>
  <div ref="root" class="row-editor">
    <p v-if="!row" class="quiet">{{ t('edit.nothing') }}</p>
    <template v-else>
      <p v-if="cursor.selectedRows.length > 1" class="many">
        {{ t('edit.many', { n: cursor.selectedRows.length }) }}
      </p>
      <RowTools @play="emit('play')" />
      <ScopeToggle
        v-if="session.document.groups.length > 1 && row.block"
        v-model="scope"
        :groups="session.document.groups"
      />
      <StationEditor v-if="row.kind === 'station'" :key="row.id" :row="row" :scope="scope" />
      <template v-else-if="cursor.selectedRows.length <= 1">
        <BlockEditor v-if="row.block" :key="row.block.id" :block="row.block" :scope="scope" />
        <SectionEditor v-if="row.kind === 'section'" :key="row.section.id" :section="row.section" />
      </template>
    </template>
  </div>
</template>

<style scoped>
.row-editor {
  display: grid;
  gap: 14px;
  padding: 6px 0 20px;
}
.many {
  margin: 0;
  font-weight: 700;
}
</style>
