import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const levelsLabels: FormLabels = {
  name: 'Levels',
  about: 'a skill in steps; young groups do the first ones',
  facts: {
    ends: 'From and to level',
    seconds: 'Time per level',
    bonus: 'The last row is a bonus',
  },
}
