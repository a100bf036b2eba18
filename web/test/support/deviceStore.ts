import 'fake-indexeddb/auto'
import { closeDevice, deviceStore } from '../../src/shared/device/deviceStore.ts'
import { purposes, type Purpose } from '../../src/shared/device/purposes.ts'

const all = Object.keys(purposes) as Purpose[]

/** What the device keeps, in its own databases (in memory, by a package that follows the standard). */
export const device = {
  get: (purpose: Purpose, key: string) => deviceStore(purpose).get(key),
  set: (purpose: Purpose, key: string, value: unknown) => deviceStore(purpose).set(key, value),
  entries: (purpose: Purpose) => deviceStore(purpose).entries(),
  clear: async () => {
    for (const purpose of all) await deviceStore(purpose).clear()
  },
  close: closeDevice,
  /** Waits until all its requests are done: it has its own task queue, which fake timers do not control. */
  settled: async () => {
    for (let i = 0; i < 20; i++) await new Promise((resolve) => setImmediate(resolve))
  },
}
