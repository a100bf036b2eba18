import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const listLabels: FormLabels = {
  name: 'One after the other',
  about: 'each move once, with its dose',
  row: 'one after the other',
  facts: {
    restAfter: 'Rest between',
    travel: commonLabels.facts.travel,
  },
}
