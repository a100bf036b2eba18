import type { FormLabels } from '../labels.ts'

/** What a teacher reads of it in English. */
export const measureLabels: FormLabels = {
  name: 'Measure',
  about: 'a test: sit and reach, sit-to-stands, a long jump, a pulse',
  facts: {
    trials: 'Trials',
    what: 'What and when',
    setUp: 'Set-up',
  },
}
