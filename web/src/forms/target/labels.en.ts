import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const targetLabels: FormLabels = {
  name: 'Target',
  about: 'throw at targets, with points by distance',
  facts: {
    throws: 'Throws per round',
    rounds: 'Rounds',
    targets: 'Targets',
  },
}
