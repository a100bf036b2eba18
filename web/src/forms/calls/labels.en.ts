import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const callsLabels: FormLabels = {
  name: 'Calls',
  about: 'a caller calls, and the children do it',
  facts: {
    every: 'A call every',
    seconds: 'Length',
  },
}
