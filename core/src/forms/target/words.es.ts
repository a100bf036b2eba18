import type { Sentence } from '../../words/sentences.ts'
import type { targetEn } from './words.en.ts'

/** Its Spanish sentences, by code. */
export const targetEs: Record<keyof typeof targetEn, Sentence> = {
  'target.throw': (p) => `${p.n} lanzamientos, ${p.of} puntos como mucho`,
  'target.collect': () => 'Recoge y apúntalo',
}
