import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads about it in English. */
export const amrapLabels: FormLabels = {
  name: 'As many rounds as you can (AMRAP)',
  about: 'round after round until the time is up',
  facts: {
    cap: 'Time limit',
    travel: commonLabels.facts.travel,
  },
}
