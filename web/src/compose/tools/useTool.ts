import { computed, type ComputedRef } from 'vue'
import { hasStations, isChance, type Block } from '@esfuerzo/core'
import { canArrange } from '@esfuerzo/core/tools'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useCursor } from '../cursor/useCursor.ts'
import { usePanel } from '../panel/usePanel.ts'
import type { Tool } from './tool.ts'

/** Which blocks a tool applies to. */
const fits: Record<Extract<Tool, { block: string }>['kind'], (block: Block) => boolean> = {
  arrange: canArrange,
  chance: isChance,
  suggest: hasStations,
}

/** The tool open in the panel, as long as its block exists. */
export function useTool(): {
  tool: ComputedRef<Tool | undefined>
  /** For the cursor's block; a message if there is nothing to arrange. */
  openArrange: () => void
} {
  const session = useSession()
  const messages = useMessages()
  const cursor = useCursor()
  const panel = usePanel()
  const blocks = computed(() => session.document.sections.flatMap((s) => s.blocks))
  const tool = computed(() => {
    const { tool: open } = panel
    if (!open || !('block' in open)) return open
    const block = blocks.value.find((b) => b.id === open.block)
    return block && fits[open.kind](block) ? open : undefined
  })
  function openArrange(): void {
    const row = cursor.selectedRow
    const block = row?.block ?? row?.section.blocks.find(canArrange)
    if (block && canArrange(block)) panel.show({ kind: 'arrange', block: block.id })
    else messages.say({ text: 'nothingToArrange' })
  }
  return { tool, openArrange }
}
