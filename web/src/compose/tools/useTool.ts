import { computed, type ComputedRef } from 'vue'
import { isChance } from '@esfuerzo/core'
import { canArrange } from '@esfuerzo/core/tools'
import type { useComposer } from '../store.ts'
import type { Tool } from './tool.ts'

/** What is open in the panel, as long as the block it is about is there. */
export function useTool(composer: ReturnType<typeof useComposer>): {
  tool: ComputedRef<Tool | undefined>
  /** For the block the cursor is in; says so where there is nothing to arrange. */
  openArrange: () => void
} {
  const blocks = computed(() => composer.workout.sections.flatMap((s) => s.blocks))
  const tool = computed(() => {
    const { tool: open } = composer
    if (!open || !('block' in open)) return open
    const block = blocks.value.find((b) => b.id === open.block)
    const fits = block && (open.kind === 'arrange' ? canArrange(block) : isChance(block))
    return fits ? open : undefined
  })
  function openArrange(): void {
    const row = composer.selectedRow
    const block = row?.block ?? row?.section.blocks.find(canArrange)
    if (block && canArrange(block)) composer.tool = { kind: 'arrange', block: block.id }
    else composer.message = { text: 'nothingToArrange' }
  }
  return { tool, openArrange }
}
