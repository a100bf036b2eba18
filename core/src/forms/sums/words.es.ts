import type { Sentence } from '../../words/sentences.ts'
import type { sumsEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const sumsEs: Record<keyof typeof sumsEn, Sentence> = {
  'sums.sum': (p) => {
    // Sessions sent home before doubles were stored as numbers have them as English words.
    const [, double = p.double, plus = p.plus] = /^double (\d+)(?:, and (\d+))?$/.exec(p.text ?? '') ?? []
    return `${double === undefined ? (p.text ?? '') : `el doble de ${double}${plus ? `, y ${plus} más` : ''}`}: ese número`
  },
}
