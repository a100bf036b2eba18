import type { FormWords } from '../../words/sentences.ts'

/** What is said of it in English, by code. */
export const sumsEn = {
  'sums.sum': (p) =>
    `${p.double === undefined ? (p.text ?? '') : `double ${p.double}${p.plus ? `, and ${p.plus}` : ''}`}: that many`,
} satisfies FormWords<'sums'>
