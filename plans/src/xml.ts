import { refused } from './bounds.ts'

/**
 * A part of a packed document without entity declarations: none of the formats needs them, and they can expand without limit.
 *
 * @throws {ProblemError} `file-broken`
 */
export function withoutEntities(bytes: Uint8Array, name: string): Uint8Array {
  // A declaration comes before the root element.
  const head = new TextDecoder().decode(bytes.subarray(0, 4096))
  if (/<!(?:DOCTYPE|ENTITY)/i.test(head)) throw refused('file-broken', name)
  return bytes
}
