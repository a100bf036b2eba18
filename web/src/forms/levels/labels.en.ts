import type { FormLabels } from '../labels.ts'

/** What a teacher reads of it in English. */
export const levelsLabels: FormLabels = {
  name: 'Levels',
  about: 'a skill ladder, lower grades its first steps',
  facts: {
    ends: 'From and to level',
    seconds: 'At each level',
    bonus: 'The last row is a bonus',
  },
}
