import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads about it in English. */
export const sumsLabels: FormLabels = {
  name: 'Sums',
  about: 'solve the sum, do as many reps',
  facts: {
    range: 'Answers from and to',
    operations: 'Operations',
    same: 'The same answers for every group',
    unit: commonLabels.facts.unit,
  },
  choices: {
    unit: commonLabels.choices.unit,
  },
}
