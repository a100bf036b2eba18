<script setup lang="ts">
import { computed, useTemplateRef } from 'vue'
import { useI18n } from 'vue-i18n'
import BlockEditor from './BlockEditor.vue'
import GroupStepper from './GroupStepper.vue'
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
const row = computed(() => cursor.selectedRow)

/** The groups a change is for: keys and typing in the running order follow them too. */
const scope = computed({
  get: () => (cursor.scope === 'all' ? ('all' as const) : [...cursor.scope]),
  set: (next) => cursor.chooseScope(next),
})
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
      <GroupStepper v-if="cursor.only.length && row.block" :key="`${row.id} ${cursor.only.join()}`" :row="row" />
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
