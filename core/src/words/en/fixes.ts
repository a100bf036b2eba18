import type { FixId, FixWords } from '../../checks/fixes/fix.ts'
import type { Facts } from '../../checks/rule.ts'

const lapWords: Record<string, string> = { laps: 'laps', sets: 'sets', rounds: 'rounds' }
/** @example laps({ block: 'Springs', word: 'laps', steps: '4 → 3 (B)' }) // 'Springs: laps 4 → 3 (B)' */
const laps = ({ block, word, steps }: Facts): string | undefined =>
  steps === undefined ? undefined : `${block ? `${block}: ` : ''}${lapWords[`${word}`]} ${steps}`

/** What a fix says it does, on its button. */
export const fixesInEnglish: Record<FixId, (facts: Facts) => string> = {
  'easier-version': (f) => `Take “${f.version}”`,
  'like-move': (f) => `Take ${f.move} instead`,
  'like-without': (f) => `${f.move} in place of ${f.before}`,
  'leave-out': () => 'Leave this row out',
  'no-load': () => 'Without the weight',
  lighter: (f) => `Take ${f.kg} kg`,
  'to-the-limit': (f) => (f.unit === 'reps' ? `Make it ${f.n} reps` : `Make it ${f.n} s`),
  'lap-less': (f) => laps(f) ?? (f.block ? `Shorten ${f.block}` : 'Shorten it'),
  'lap-more': (f) => laps(f) ?? (f.block ? `Lengthen ${f.block}` : 'Lengthen it'),
  'true-minutes': (f) => `Say ${f.minutes} minutes`,
  'more-moving': (f) => `${f.seconds} s more easy moving before`,
  'warm-it': (f) => `${f.move}, easily, in the warm-up`,
  'without-cap': (f) => (f.block ? `Let everybody finish ${f.block}` : 'Let everybody finish'),
  'walk-first': (f) => `Walk on the spot ${f.seconds} s first`,
  'stretch-it': (f) => `Add ${f.move}`,
  'counter-shape': (f) => `Add ${f.move}`,
  'more-rest': (f) => `${f.seconds} s more rest`,
  'drink-pause': (f) => `${f.seconds} s to drink`,
  'shorter-work': (f) => `Work ${f.seconds} s at most`,
  'fewer-sets': (f) => `${f.n} sets`,
  'other-order': (f) => `Change places with ${f.move}`,
  'easier-words': (f) => `Say: ${f.words}`,
  'pick-up': (f) => `Say: ${f.words}`,
  'without-words': (f) => `Take “${f.words}” out`,
  'fewer-results': (f) => (f.n === 1 ? 'Write down the first only' : `Write down the first ${f.n} only`),
  'no-stand-in': (f) => `No “${f.standIn}” in its place`,
  'stretch-later': () => 'After what moves',
  'talk-first': (f) => `Show the new moves first, ${f.seconds} s`,
  'shorter-talk': (f) => `Talk ${f.seconds} s`,
  'without-aim': () => 'Take the aim off',
  'hide-title': (f) => `Call it “${f.words}”`,
}

/** What a fix writes into a session in English. */
export const fixWordsInEnglish: FixWords = {
  warmUp: 'Warm-up',
  coolDown: 'Cool-down',
  drink: 'Drink',
  meetTheMoves: 'Meet the moves',
  easier: 'Half as many, or half as long.',
  pickUp: 'Pick up what you threw before you go on.',
  surprise: 'A surprise',
}
