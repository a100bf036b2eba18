/** What can have the focus, without what is only reachable by script. */
const focusable =
  'a[href], button:enabled, input:enabled:not([type=hidden], [type=file]), select:enabled, textarea:enabled:not([aria-hidden=true]), [tabindex="0"]'
const fields = 'input:enabled:not([type=hidden], [type=file]), select:enabled, textarea:enabled:not([aria-hidden=true])'

function focused(element: Element | null | undefined): boolean {
  if (!(element instanceof HTMLElement)) return false
  element.focus()
  return document.activeElement === element
}

/**
 * Focuses the first field inside; without one the main action, or else the first action that can be pressed.
 *
 * @returns whether anything there took the focus
 */
export function focusInto(element: Element): boolean {
  const actions = '.v-card-actions'
  return [fields, `${actions} .main:enabled`, `${actions} button:enabled`, focusable].some((wanted) =>
    focused(element.querySelector(wanted)),
  )
}

/**
 * An element and all it lies in, nearest first, each menu followed by the button that opened it. Taken when something is opened: by the time
 * that closes, the element may be gone, and what it lay in with it.
 */
export function focusTrail(from: Element | null): Element[] {
  const trail: Element[] = []
  for (let at = from; at; at = at.parentElement) {
    trail.push(at)
    const opener = at.id && document.querySelector(`[aria-owns="${at.id}"], [aria-controls="${at.id}"]`)
    if (opener) trail.push(opener)
  }
  return trail
}

/**
 * Gives the focus back to where it came from, or to the nearest thing that still exists and can have it.
 *
 * @returns whether anything took the focus
 */
export const focusNearest = (trail: readonly Element[]): boolean =>
  trail.some((at) => at.isConnected && (focused(at) || focused(at.querySelector(focusable))))
