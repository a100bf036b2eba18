import { promisifyRequest } from 'idb-keyval'
import type { DevicePurpose } from './purposes.ts'

/**
 * Opens a database of the device, and brings it up to date.
 *
 * @param closed called where it is closed by others: a page of a later release wants to bring it up to date, or the browser ended it
 * @throws {DOMException} where the browser keeps nothing, or a later release has been here
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
