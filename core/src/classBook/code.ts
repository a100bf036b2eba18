/** Signs of a pupil's code: no two that look alike in print, and no vowels, so that none is a word. Ours. */
export const codeAlphabet = 'BCDFGHJKLMNPQRTVWXZ34579'
/** Signs of a code. */
export const codeLength = 4

/**
 * A code as it was typed, made as it is written: small letters and blanks are nobody's mistake.
 *
 * @returns undefined for what no code can be
 * @example readCode(' kt7m ') // 'KT7M'
 * @example readCode('KT0M') // undefined
 */
export function readCode(typed: string): string | undefined {
  const code = typed.replace(/[\s-]/g, '').toUpperCase()
  return code.length === codeLength && [...code].every((sign) => codeAlphabet.includes(sign)) ? code : undefined
}

/** How many codes there are: 331 776. */
export const codeCount = codeAlphabet.length ** codeLength

/**
 * The code of a number.
 *
 * @param n a whole number from 0 up to {@link codeCount}
 * @example codeOf(0) // 'BBBB'
 */
export function codeOf(n: number): string {
  let rest = n
  let code = ''
  for (let i = 0; i < codeLength; i++) {
    code = codeAlphabet[rest % codeAlphabet.length]! + code
    rest = Math.floor(rest / codeAlphabet.length)
  }
  return code
}
