import { defineStore } from 'pinia'
import { computed, ref, shallowRef, watch } from 'vue'
import { useSession } from '../session/useSession.ts'
import type { Tool } from '../tools/tool.ts'

/** What the panel is computing. */
export const usePanel = defineStore('panel', () => {
  const session = useSession()
  const tool = shallowRef<Tool>()
  /** How many CSS pixels of the page's end it covers: where there is little room it lies over the running order. */
  const covers = ref(0)
  const close = (): void => void (tool.value = undefined)
  watch(() => session.loads, close, { flush: 'sync' })
  return { covers, tool: computed(() => tool.value), show: (next: Tool): void => void (tool.value = next), close }
})
