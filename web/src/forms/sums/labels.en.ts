import type { FormLabels } from '../labels.ts'
import { commonEn } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const sumsEn: FormLabels = {
  name: 'Sums',
  about: 'the answer is the dose',
  facts: {
    range: 'Answers from and to',
    operations: 'Reckoning',
    same: 'The same answers for every group',
    unit: commonEn.facts.unit,
  },
  choices: {
    unit: commonEn.choices.unit,
  },
}
