const name = 'esfuerzo-own-device'

/** Whether a teacher said that this device is hers alone. Otherwise it counts as shared: her data is removed from it when she signs out. */
export const ownDevice = {
  read: (): boolean => {
    try {
      return localStorage.getItem(name) === 'yes'
    } catch {
      return false
    }
  },
  write: (isOwn: boolean): void => {
    try {
      if (isOwn) localStorage.setItem(name, 'yes')
      else localStorage.removeItem(name)
    } catch {
      // It is asked again then.
    }
  },
}
