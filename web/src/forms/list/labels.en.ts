import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads about it in English. */
export const listLabels: FormLabels = {
  name: 'One after the other',
  about: 'each exercise once, with its amount',
  row: 'one after the other',
  facts: {
    restAfter: 'Rest between exercises',
    travel: commonLabels.facts.travel,
  },
}
