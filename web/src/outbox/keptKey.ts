const name = 'esfuerzo-outbox-key'

/** The outbox's key, kept until the browser is closed; not kept if storage is unavailable. */
export const keptKey = {
  read: (): string => {
    try {
      return sessionStorage.getItem(name) ?? ''
    } catch {
      return ''
    }
  },
  write: (key: string): void => {
    try {
      sessionStorage.setItem(name, key)
    } catch {
      // It is typed again then.
    }
  },
}
