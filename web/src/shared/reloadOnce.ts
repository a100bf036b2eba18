const key = 'esfuerzo-reloaded-at'
/** Milliseconds during which a page that is still too old after a reload does not reload again: the servers are being upgraded. */
const patience = 5 * 60 * 1000

/**
 * Reloads a page once after it received a document of a later release; typed text is kept on the device by then.
 *
 * @param now milliseconds
 * @returns false if that was tried just now
 */
export function reloadOnce(now = Date.now(), place: Pick<Location, 'reload'> = location): boolean {
  try {
    if (now - Number(sessionStorage.getItem(key) ?? -patience) < patience) return false
    sessionStorage.setItem(key, String(now))
  } catch {
    // Without storage a page would reload forever.
    return false
  }
  place.reload()
  return true
}
