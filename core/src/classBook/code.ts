/** Characters of a pupil's code: no two look alike in print, and without vowels none is a word. Ours. */
export const codeAlphabet = 'BCDFGHJKLMNPQRTVWXZ34579'

/** Signs of a code, and of those that were printed before codes became longer. */
export const codeLengths = { now: 6, before: 4 } as const

/**
 * A code as it was typed, made as it is written: small letters and blanks are nobody's mistake.
 *
 * @returns undefined for what no code can be
 * @example readCode(' kt7 m3b ') // 'KT7M3B'
 * @example readCode('KT0M3B') // undefined
 */
export function readCode(typed: string): string | undefined {
  const code = typed.replace(/[\s-]/g, '').toUpperCase()
  const isLength = code.length === codeLengths.now || code.length === codeLengths.before
  return isLength && [...code].every((sign) => codeAlphabet.includes(sign)) ? code : undefined
}

/**
 * How many codes there are of a length.
 *
 * @example codeCount(6) // 191102976
 */
export const codeCount = (length: number): number => codeAlphabet.length ** length

/**
 * The code of a number.
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
