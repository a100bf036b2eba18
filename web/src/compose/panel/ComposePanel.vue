<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import OpenTool from '../tools/OpenTool.vue'
import { useTool } from '../tools/useTool.ts'
import { panelTabs, tabNames, type PanelTab } from './tabs.ts'
import { useChecks } from '../checks/useChecks.ts'
import { usePanel } from './usePanel.ts'

/** Beside the running order: what a tab shows, or the tool that is at work. */
const tab = defineModel<PanelTab>({ required: true })
/** Where the page is narrow the panel lies below and is opened when it is wanted. */
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ play: [] }>()
const { t } = useI18n()
const panel = usePanel()
const checks = useChecks()
const { tool } = useTool()
const shown = useTemplateRef<{ focus?: () => void }>('shown')
/** Only the editor of a row runs anything. */
const listeners = computed(() => (tab.value === 'edit' ? { play: () => emit('play') } : {}))

/** A tab that is pressed again on a narrow page is put away. */
function onTab(name: PanelTab) {
  panel.close()
  open.value = !(open.value && tab.value === name)
  tab.value = name
}
/** A tab that is still on its way takes the focus when it is there. */
let wanted = false
function focus() {
  wanted = shown.value?.focus === undefined
  shown.value?.focus?.()
}
watch(shown, (there) => {
  if (!wanted || !there?.focus) return
  wanted = false
  there.focus()
})
defineExpose({ focus })
</script>

<template>
  <aside :aria-label="t('compose.panel')" :class="{ open }">
    <div v-if="tool" class="panel">
      <OpenTool :tool="tool" />
    </div>
    <template v-else>
      <div class="tabs" role="tablist" :aria-label="t('compose.panel')">
        <button
          v-for="name in tabNames"
          :id="`tab-${name}`"
          :key="name"
          type="button"
          role="tab"
          :aria-selected="tab === name"
          :aria-controls="`panel-${name}`"
          @click="onTab(name)"
        >
          {{ t(`compose.tab.${name}`)
          }}<template v-if="name === 'look' && checks.toLookAt"> · {{ checks.toLookAt }}</template>
        </button>
      </div>
      <div :id="`panel-${tab}`" class="panel" role="tabpanel" tabindex="0" :aria-labelledby="`tab-${tab}`">
        <component :is="panelTabs[tab]" ref="shown" v-on="listeners" />
      </div>
    </template>
  </aside>
</template>

<style scoped>
aside {
  position: sticky;
  top: 0;
  height: 100vh;
  background: var(--card);
  border-left: 1px solid var(--line);
  padding: 14px 14px 0;
  display: flex;
  flex-direction: column;
}
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0 13px;
  white-space: nowrap;
  border-bottom: 1px solid var(--line);
  margin-bottom: 12px;
}
.tabs button {
  border: 0;
  background: none;
  color: var(--quiet);
  font: inherit;
  padding: 4px 0 8px;
  border-bottom: 3px solid transparent;
  cursor: pointer;
}
/* As wide with its number as without: no tab moves when one comes up. */
#tab-look {
  min-width: 124px;
  text-align: left;
}
.tabs [aria-selected='true'] {
  color: var(--ink);
  font-weight: 700;
  border-color: var(--action);
}
.panel {
  flex: 1;
  min-height: 0;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
  margin: 0 -14px;
  padding: 4px 14px 0;
}
@media (max-width: 900px) {
  aside {
    top: auto;
    bottom: 0;
    z-index: 8;
    height: auto;
    border-left: 0;
    border-top: 1px solid var(--line);
    box-shadow: var(--shadow);
    padding-top: 8px;
  }
  .panel {
    display: none;
    max-height: 46vh;
  }
  .open .panel {
    display: flex;
  }
}
</style>
