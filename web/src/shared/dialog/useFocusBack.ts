import { onUnmounted, watch, type WatchSource } from 'vue'
import { focusNearest, focusTrail } from './focusBack.ts'

/**
 * Gives the focus back when something closes: to what had it when that opened. Whoever moves the focus elsewhere meanwhile keeps it there.
 *
 * @param open whether it is open
 * @param inside what is inside it, as long as it exists
 */
export function useFocusBack(open: WatchSource<boolean>, inside: () => Element | null | undefined): void {
  let trail: Element[] | undefined
  function giveBack() {
    const back = trail
    trail = undefined
    const at = document.activeElement
    if (back && (!at || at === document.body || inside()?.contains(at))) focusNearest(back)
  }
  // What opens it still has the focus now; what closes it is rendered first.
  watch(open, (now) => void (now && (trail = focusTrail(document.activeElement))), { immediate: true, flush: 'sync' })
  watch(open, (now) => void (now || giveBack()), { flush: 'post' })
  onUnmounted(giveBack)
}
