import type { FixId, FixWords } from '../../checks/fixes/fix.ts'
import type { Facts } from '../../checks/rule.ts'

const lapWords: Record<string, string> = { laps: 'laps', sets: 'sets', rounds: 'rounds' }
/** @example laps({ block: 'Springs', word: 'laps', steps: '4 → 3 (B)' }) // 'Springs: laps 4 → 3 (B)' */
const laps = ({ block, word, steps }: Facts): string | undefined =>
  steps === undefined ? undefined : `${block ? `${block}: ` : ''}${lapWords[`${word}`]} ${steps}`

/** The label of each fix on its button. */
export const fixesInEnglish: Record<FixId, (facts: Facts) => string> = {
  'easier-version': (f) => `Use “${f.version}”`,
  'like-move': (f) => `Use ${f.move} instead`,
  'like-without': (f) => `Replace ${f.before} with ${f.move}`,
  'leave-out': () => 'Remove this row',
  'no-load': () => 'Remove the weight',
  lighter: (f) => `Use ${f.kg} kg`,
  'to-the-limit': (f) => (f.unit === 'reps' ? `Change to ${f.n} reps` : `Change to ${f.n} s`),
  'lap-less': (f) => laps(f) ?? (f.block ? `Shorten ${f.block}` : 'Shorten'),
  'lap-more': (f) => laps(f) ?? (f.block ? `Lengthen ${f.block}` : 'Lengthen'),
  'true-minutes': (f) => `Plan ${f.minutes} minutes`,
  'more-moving': (f) => `Add ${f.seconds} s of easy moving before it`,
  'warm-it': (f) => `Add easy ${f.move} to the warm-up`,
  'without-cap': (f) => (f.block ? `Remove the time limit of ${f.block}` : 'Remove the time limit'),
  'walk-first': (f) => `Add ${f.seconds} s of walking first`,
  'stretch-it': (f) => `Add ${f.move}`,
  'counter-shape': (f) => `Add ${f.move}`,
  'more-rest': (f) => `Add ${f.seconds} s of rest`,
  'drink-pause': (f) => `Add ${f.seconds} s to drink`,
  'shorter-work': (f) => `Limit work to ${f.seconds} s`,
  'fewer-sets': (f) => `Change to ${f.n} sets`,
  'other-order': (f) => `Swap with ${f.move}`,
  'easier-words': (f) => `Add: ${f.words}`,
  'pick-up': (f) => `Add: ${f.words}`,
  'without-words': (f) => `Remove “${f.words}”`,
  'fewer-results': (f) => (f.n === 1 ? 'Record only the first result' : `Record only the first ${f.n} results`),
  'no-stand-in': (f) => `Don’t use “${f.standIn}”`,
  'stretch-later': () => 'Move it after the moving part',
  'talk-first': (f) => `Explain the new exercises first, ${f.seconds} s`,
  'shorter-talk': (f) => `Shorten to ${f.seconds} s`,
  'without-aim': () => 'Remove the focus',
  'hide-title': (f) => `Rename to “${f.words}”`,
}

/** What a fix writes into a session in English. */
export const fixWordsInEnglish: FixWords = {
  warmUp: 'Warm-up',
  coolDown: 'Cool-down',
  drink: 'Drink',
  meetTheMoves: 'New exercises',
  easier: 'Do half as many, or half as long.',
  pickUp: 'Pick up what you threw before you go on.',
  surprise: 'A surprise',
}
