/** Characters of a pupil's code: no two look alike in print, and without vowels none is a word. Ours. */
export const codeAlphabet = 'BCDFGHJKLMNPQRTVWXZ34579'

/** Length of a code, and of those printed before codes became longer. */
export const codeLengths = { now: 6, before: 4 } as const

/**
 * A typed code in its canonical form: lower case and blanks are accepted.
 *
 * @returns undefined if the text cannot be a code
 * @example readCode(' kt7 m3b ') // 'KT7M3B'
 * @example readCode('KT0M3B') // undefined
 */
export function readCode(typed: string): string | undefined {
  const code = typed.replace(/[\s-]/g, '').toUpperCase()
  const isLength = code.length === codeLengths.now || code.length === codeLengths.before
  return isLength && [...code].every((sign) => codeAlphabet.includes(sign)) ? code : undefined
}

/**
 * How many codes of a length exist.
 *
 * @example codeCount(6) // 191102976
 */
export const codeCount = (length: number): number => codeAlphabet.length ** length

/**
 * The code with a number.
 *
 * @param n a whole number from 0 up to {@link codeCount}
 * @example codeOf(0, 6) // 'BBBBBB'
 */
export function codeOf(n: number, length: number): string {
  let rest = n
  let code = ''
  for (let i = 0; i < length; i++) {
    code = codeAlphabet[rest % codeAlphabet.length]! + code
    rest = Math.floor(rest / codeAlphabet.length)
  }
  return code
}
