import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const quizLabels: FormLabels = {
  name: 'Quiz',
  about: 'three questions on words, muscles or good form',
  facts: {},
}
