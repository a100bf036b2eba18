import { defineStore } from 'pinia'
import { computed, shallowRef, watch } from 'vue'
import { useSession } from '../session/useSession.ts'
import type { Tool } from '../tools/tool.ts'

/** What the panel is computing. */
export const usePanel = defineStore('panel', () => {
  const session = useSession()
  const tool = shallowRef<Tool>()
  const close = (): void => void (tool.value = undefined)
  watch(() => session.loads, close, { flush: 'sync' })
  return { tool: computed(() => tool.value), show: (next: Tool): void => void (tool.value = next), close }
})
