const starts = (bytes: Uint8Array, ...head: number[]) => head.every((byte, i) => bytes[i] === byte)

/**
 * The characters Windows-1252 has where Latin 1 has control codes: https://encoding.spec.whatwg.org/index-windows-1252.txt, from 0x80 on.
 */
const windowsLetters = '€\u0081‚ƒ„…†‡ˆ‰Š‹Œ\u008dŽ\u008f\u0090‘’“”•–—˜™š›œ\u009džŸ'
// Not every decoder for Windows-1252 knows them.
const windows = (text: string): string =>
  text.replace(/[\u0080-\u009f]/g, (c) => windowsLetters[c.charCodeAt(0) - 0x80]!)

/**
 * Decodes bytes: by their byte order mark; otherwise as UTF-8 if valid, as UTF-16 if every other byte is zero, else as Windows-1252.
 *
 * @example decoded(new Uint8Array([0xe9])) // 'é'
 */
export function decoded(bytes: Uint8Array): string {
  if (starts(bytes, 0xef, 0xbb, 0xbf)) return new TextDecoder('utf-8').decode(bytes)
  if (starts(bytes, 0xff, 0xfe)) return new TextDecoder('utf-16le').decode(bytes)
  if (starts(bytes, 0xfe, 0xff)) return new TextDecoder('utf-16be').decode(bytes)
  const sample = bytes.subarray(0, 400)
  const empty = [0, 1].map((side) => sample.filter((byte, i) => i % 2 === side && byte === 0).length)
  if (empty[1]! > sample.length / 4) return new TextDecoder('utf-16le').decode(bytes)
  if (empty[0]! > sample.length / 4) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return windows(new TextDecoder('latin1').decode(bytes))
  }
}
