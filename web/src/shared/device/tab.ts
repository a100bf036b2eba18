import { v4 as uuid } from 'uuid'

const name = 'esfuerzo-tab'
const lockOf = (id: string) => `esfuerzo-tab-${id}`

let id: string | undefined

/** Holds a lock while the tab is open. @returns false if another tab holds it: this tab is its copy */
function hold(tab: string): Promise<boolean> {
  if (!navigator.locks) return Promise.resolve(true)
  return new Promise((resolve) => {
    void navigator.locks
      .request(lockOf(tab), { ifAvailable: true }, (lock) => {
        resolve(lock !== null)
        // Never released: the browser does that when the tab is closed.
        return lock ? new Promise(() => {}) : undefined
      })
      .catch(() => resolve(true))
  })
}

let held: Promise<string> | undefined
async function holdOwn(): Promise<string> {
  const known = sessionStorage.getItem(name)
  // A duplicated tab has the other's name.
  id = known && (await hold(known)) ? known : uuid()
  if (id !== known) {
    sessionStorage.setItem(name, id)
    await hold(id)
  }
  return id
}

/** This tab's name; it survives a reload and no other tab shares it. */
export async function tabId(): Promise<string> {
  // If cleared at sign-out, it counts as another tab from then on.
  if (!held || sessionStorage.getItem(name) !== (await held)) held = holdOwn()
  return held
}

/** Milliseconds after which another tab's data that was not written counts as a closed tab's. */
const silent = 60_000

/**
 * Which tabs are open, by their names. If the browser cannot tell, a tab that wrote within the last minute counts as open.
 *
 * @returns whether a tab is open that wrote something at a moment, in milliseconds
 */
export async function tabsThere(): Promise<(tab: string, at: number) => boolean> {
  try {
    const { held: locks = [] } = await navigator.locks.query()
    const names = new Set(locks.map((lock) => lock.name))
    return (tab) => names.has(lockOf(tab))
  } catch {
    return (_, at) => Date.now() - at <= silent
  }
}
