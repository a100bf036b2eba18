import {
  mdiBookmarkOutline,
  mdiChartLine,
  mdiClipboardCheckOutline,
  mdiPencilOutline,
  mdiRun,
  mdiTextLong,
} from '@mdi/js'
import { defineAsyncComponent, type Component } from 'vue'
import KeptParts from './KeptParts.vue'
import MoveShelf from './MoveShelf.vue'
import RowEditor from './RowEditor.vue'

/** The tabs of the panel in order; each has its word at `compose.tab`. A tab that can take the focus has `focus`. */
export const panelTabs = {
  moves: MoveShelf,
  edit: RowEditor,
  // The editor is large and loads when needed.
  text: defineAsyncComponent(() => import('./TextPanel.vue')),
  shelf: KeptParts,
  // Loaded on demand.
  look: defineAsyncComponent(() => import('../checks/WorthALook.vue')),
  // Results are looked at now and then, so they load on demand.
  runs: defineAsyncComponent(() => import('./SessionRuns.vue')),
} satisfies Record<string, Component>
export type PanelTab = keyof typeof panelTabs
export const tabIcons: Record<PanelTab, string> = {
  moves: mdiRun,
  edit: mdiPencilOutline,
  text: mdiTextLong,
  shelf: mdiBookmarkOutline,
  look: mdiClipboardCheckOutline,
  runs: mdiChartLine,
}
export const tabNames = Object.keys(panelTabs) as PanelTab[]
