/** What the device keeps, in place of its database: key and value as they were put. */
export const device = new Map<string, unknown>()

// The functions of idb-keyval that the pages use.
export const createStore = () => ({})
export const set = async (key: string, value: unknown) => void device.set(key, structuredClone(value))
export const del = async (key: string) => void device.delete(key)
export const entries = async () => [...device]
export const get = async (key: string) => structuredClone(device.get(key))
export const update = async (key: string, change: (there: unknown) => unknown) =>
  void device.set(key, structuredClone(change(await get(key))))
