import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const relayLabels: FormLabels = {
  name: 'Relay for two',
  about: 'one works while the other rests, then they swap',
  facts: {
    change: 'Time to swap',
    rounds: 'Rounds',
  },
}
