<script setup lang="ts">
import { useElementSize, useMediaQuery } from '@vueuse/core'
import { computed, useTemplateRef, watch } from 'vue'
import { useI18n } from 'vue-i18n'
import OpenTool from '../tools/OpenTool.vue'
import { useTool } from '../tools/useTool.ts'
import TabRow from '../../shared/TabRow.vue'
import { panelTabs, tabIcons, tabNames, type PanelTab } from './tabs.ts'
import { useChecks } from '../checks/useChecks.ts'
import { usePanel } from './usePanel.ts'

/** Beside the running order: the contents of a tab, or an open tool. */
const tab = defineModel<PanelTab>({ required: true })
/** On a narrow page the panel lies below and opens on demand. */
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ play: [] }>()
const { t } = useI18n()
const panel = usePanel()
const checks = useChecks()
const { tool } = useTool()
const shown = useTemplateRef<{ focus?: () => void }>('shown')
const whole = useTemplateRef('whole')
const { height } = useElementSize(whole, undefined, { box: 'border-box' })
const lies = useMediaQuery('(max-width: 900px)')
watch([lies, height], ([below]) => {
  panel.covers = below && whole.value ? innerHeight - whole.value.getBoundingClientRect().top : 0
})
/** Only the editor of a row needs a session action. */
const listeners = computed(() => (tab.value === 'edit' ? { play: () => emit('play') } : {}))

/** Pressing the open tab again on a narrow page closes it. */
function onTab(name: PanelTab) {
  panel.close()
  open.value = !(open.value && tab.value === name)
  tab.value = name
}
/** A tab that is still loading gets the focus once it is there. */
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
  <aside ref="whole" :aria-label="t('compose.panel')" :class="{ open }">
    <div v-if="tool" class="panel">
      <OpenTool :tool="tool" />
    </div>
    <template v-else>
      <TabRow
        :names="tabNames"
        :chosen="tab"
        :label="t('compose.panel')"
        :text="(name) => t(`compose.tab.${name}`)"
        :icons="tabIcons"
        :waiting="{ look: checks.toLookAt }"
        @choose="onTab"
      />
      <div :id="`panel-${tab}`" class="panel" role="tabpanel" tabindex="0" :aria-labelledby="`tab-${tab}`">
        <component :is="panelTabs[tab]" ref="shown" v-on="listeners" />
      </div>
    </template>
  </aside>
</template>

<style scoped>
aside {
  display: flex;
  flex-direction: column;
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
@media (max-width: 640px) {
  /* Above the bar with the views. */
  aside {
    bottom: 60px;
  }
}
</style>
