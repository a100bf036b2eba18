import { promisifyRequest } from 'idb-keyval'
import type { DevicePurpose } from './purposes.ts'

/**
 * Opens a database of the device, and migrates it.
 *
 * @param closed called if it is closed from outside: a page of a later release wants to migrate it, or the browser closed it
 * @throws {DOMException} if the browser stores nothing, or a later release was used here
 */
export async function openDevice(
  { name, version, upgrade }: DevicePurpose,
  closed: () => void = () => undefined,
): Promise<IDBDatabase> {
  const request = indexedDB.open(name, version)
  request.onupgradeneeded = ({ oldVersion }) => upgrade(request.result, oldVersion)
  const db = await promisifyRequest(request)
  db.onclose = closed
  db.onversionchange = () => {
    closed()
    db.close()
  }
  return db
}
