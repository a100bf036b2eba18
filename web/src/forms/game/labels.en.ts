import type { FormLabels } from '../labels.ts'

/** What a teacher reads of it in English. */
export const gameLabels: FormLabels = {
  name: 'Game',
  about: 'told in words, and can grow harder',
  facts: {
    seconds: 'Time',
  },
}
