import type { FormLabels } from '../labels.ts'
import { commonEn } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const amrapEn: FormLabels = {
  name: 'As many rounds as you can (AMRAP)',
  about: 'round after round until the time is up',
  facts: {
    cap: 'Time',
    travel: commonEn.facts.travel,
  },
}
