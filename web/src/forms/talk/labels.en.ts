import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const talkLabels: FormLabels = {
  name: 'Talk',
  about: 'explain, fetch equipment, drink',
  row: 'explain, fetch, drink',
  facts: {
    seconds: 'Seconds',
  },
}
