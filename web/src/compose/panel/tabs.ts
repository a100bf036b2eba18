import { defineAsyncComponent, type Component } from 'vue'
import KeptParts from './KeptParts.vue'
import MoveShelf from './MoveShelf.vue'
import RowEditor from './RowEditor.vue'

/** The tabs of the panel, in their order; a word for each stands at `compose.tab`. One that can take the focus has a `focus`. */
export const panelTabs = {
  moves: MoveShelf,
  edit: RowEditor,
  // The editor is large and comes when it is wanted.
  text: defineAsyncComponent(() => import('./TextPanel.vue')),
  shelf: KeptParts,
  // What a colleague would say comes when it is asked for.
  look: defineAsyncComponent(() => import('../checks/WorthALook.vue')),
  // What came back is looked at now and then: it comes when it is wanted.
  runs: defineAsyncComponent(() => import('./SessionRuns.vue')),
} satisfies Record<string, Component>
export type PanelTab = keyof typeof panelTabs
export const tabNames = Object.keys(panelTabs) as PanelTab[]
