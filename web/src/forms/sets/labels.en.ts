import type { FormLabels } from '../labels.ts'

/** What a teacher reads about it in English. */
export const setsLabels: FormLabels = {
  name: 'Sets',
  about: 'three sets of ten, one exercise at a time',
  facts: {
    sets: 'Sets',
    restBetween: 'Rest between sets',
    restStations: 'Rest between exercises',
  },
}
