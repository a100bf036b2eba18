import type { Sentence } from '../../words/sentences.ts'
import type { chanceEn } from './words.en.ts'
import type { Face } from '../../session/station.ts'

const faces: Record<Face, string> = {
  heads: 'cara',
  tails: 'cruz',
  clubs: 'tréboles',
  diamonds: 'diamantes',
  hearts: 'corazones',
  spades: 'picas',
  one: 'uno',
  two: 'dos',
  three: 'tres',
  four: 'cuatro',
  five: 'cinco',
  six: 'seis',
  left: 'izquierda',
  right: 'derecha',
}

/** Its Spanish sentences, by code. */
export const chanceEs: Record<keyof typeof chanceEn, Sentence> = {
  'chance.go': (p) => p.title || (p.text === 'coin' ? 'Decide la moneda' : 'Decide la suerte'),
  'chance.draw': (p) =>
    p.text === 'coin'
      ? `Lanza la moneda: ${faces[p.face!]}`
      : p.text === 'toss'
        ? 'Lanza las cinco cosas por encima de la línea'
        : `Saca: ${faces[p.face!]}`,
  // In sessions sent earlier; no longer produced.
  'chance.again': () => 'Lanza otra vez si la columna está hecha',
}
