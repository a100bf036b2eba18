import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const measureLabels: FormLabels = {
  name: 'Test',
  about: 'sit and reach, sit-to-stands, long jump, pulse and more',
  facts: {
    trials: 'Tries',
    what: 'Test and time',
    setUp: 'Set-up',
  },
}
