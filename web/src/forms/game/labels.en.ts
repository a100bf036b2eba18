import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const gameLabels: FormLabels = {
  name: 'Game',
  about: 'rules in your words, with harder steps',
  facts: {
    seconds: 'Length',
  },
}
