import type { FormLabels } from '../labels.ts'

/** What a teacher reads of it in English. */
export const measureLabels: FormLabels = {
  name: 'Measure',
  about: 'pulse, sit and reach, a hold, reps in 30 s',
  facts: {
    trials: 'Trials',
    what: 'What and when',
  },
}
