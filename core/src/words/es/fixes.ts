import type { FixId, FixWords } from '../../checks/fixes/fix.ts'
import type { Facts } from '../../checks/rule.ts'

const lapWords: Record<string, string> = { laps: 'vueltas', sets: 'series', rounds: 'rondas' }
const laps = ({ block, word, steps }: Facts): string | undefined =>
  steps === undefined ? undefined : `${block ? `${block}: ` : ''}${lapWords[`${word}`]} ${steps}`

/** The label of each fix on its button. */
export const fixesInSpanish: Record<FixId, (facts: Facts) => string> = {
  'easier-version': (f) => `Tomar «${f.version}»`,
  'like-move': (f) => `Tomar ${f.move} en su lugar`,
  'like-without': (f) => `${f.move} en lugar de ${f.before}`,
  'leave-out': () => 'Quitar esta fila',
  'no-load': () => 'Sin el peso',
  lighter: (f) => `Tomar ${f.kg} kg`,
  'to-the-limit': (f) => (f.unit === 'reps' ? `Dejarlo en ${f.n} repeticiones` : `Dejarlo en ${f.n} s`),
  'lap-less': (f) => laps(f) ?? (f.block ? `Acortar ${f.block}` : 'Acortarlo'),
  'lap-more': (f) => laps(f) ?? (f.block ? `Alargar ${f.block}` : 'Alargarlo'),
  'true-minutes': (f) => `Decir ${f.minutes} minutos`,
  'more-moving': (f) => `${f.seconds} s más de movimiento fácil antes`,
  'warm-it': (f) => `${f.move}, fácil, en el calentamiento`,
  'without-cap': (f) => (f.block ? `Que todos terminen ${f.block}` : 'Que todos terminen'),
  'walk-first': (f) => `Antes, caminar en el sitio ${f.seconds} s`,
  'stretch-it': (f) => `Añadir ${f.move}`,
  'counter-shape': (f) => `Añadir ${f.move}`,
  'more-rest': (f) => `${f.seconds} s más de descanso`,
  'drink-pause': (f) => `${f.seconds} s para beber`,
  'shorter-work': (f) => `Trabajar ${f.seconds} s como mucho`,
  'fewer-sets': (f) => `${f.n} series`,
  'other-order': (f) => `Cambiar de lugar con ${f.move}`,
  'easier-words': (f) => `Decir: ${f.words}`,
  'pick-up': (f) => `Decir: ${f.words}`,
  'without-words': (f) => `Quitar «${f.words}»`,
  'fewer-results': (f) => (f.n === 1 ? 'Anotar solo el primero' : `Anotar solo los ${f.n} primeros`),
  'no-stand-in': (f) => `Sin «${f.standIn}» en su lugar`,
  'stretch-later': () => 'Después de lo que se mueve',
  'talk-first': (f) => `Enseñar antes lo nuevo, ${f.seconds} s`,
  'shorter-talk': (f) => `Hablar ${f.seconds} s`,
  'without-aim': () => 'Quitar el objetivo',
  'hide-title': (f) => `Llamarlo «${f.words}»`,
}

/** What a fix writes into a session in Spanish. */
export const fixWordsInSpanish: FixWords = {
  warmUp: 'Calentamiento',
  coolDown: 'Vuelta a la calma',
  drink: 'Agua',
  meetTheMoves: 'Conoce los ejercicios',
  easier: 'La mitad de veces, o la mitad de tiempo.',
  pickUp: 'Recoge lo lanzado antes de seguir.',
  surprise: 'Una sorpresa',
}
