import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const chanceLabels: FormLabels = {
  name: 'Chance',
  about: 'a coin, cards, a die or a toss decides what comes next',
  facts: {
    device: 'With',
    stop: 'Until',
    turns: 'With two children',
  },
  choices: {
    device: { coin: 'A coin', cards: 'Cards', dice: 'A die', toss: 'Five soft things over a line' },
    turns: { together: 'Move together', oneByOne: 'Take turns' },
  },
}
