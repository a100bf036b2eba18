import type { FormWords } from '../../words/sentences.ts'

/** Its English sentences, by code. */
export const sumsEn = {
  'sums.sum': (p) =>
    `${p.double === undefined ? (p.text ?? '') : `double ${p.double}${p.plus ? `, and ${p.plus}` : ''}`}: do that many`,
} satisfies FormWords<'sums'>
