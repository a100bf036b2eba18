/**
 * The length of a text in UTF-8 bytes.
 *
 * @example utf8Length('2 × 🪑') // 9
 */
export function utf8Length(text: string): number {
  let bytes = 0
  for (const char of text) {
    const point = char.codePointAt(0)!
    bytes += point < 0x80 ? 1 : point < 0x800 ? 2 : point < 0x10000 ? 3 : 4
  }
  return bytes
}
