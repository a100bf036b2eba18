import type { Sentence } from '../../words/sentences.ts'
import type { targetEn } from './words.en.ts'

/** What is said of it in Spanish, by code. */
export const targetEs: Record<keyof typeof targetEn, Sentence> = {
  'target.throw': (p) => `${p.n} lanzamientos, ${p.of} puntos como mucho`,
  'target.collect': () => 'Recoge y apúntalo',
}
