import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads about it in English. */
export const intervalsLabels: FormLabels = {
  name: 'By the clock',
  about: 'timed work and rest, in laps',
  facts: {
    lapRest: 'Rest between laps',
    laps: 'Laps',
    lastRest: 'No rest at the end',
    sideSlots: 'A work time for each side',
    pick: 'Number of stations the child chooses',
    travel: commonLabels.facts.travel,
    betweenLaps: commonLabels.facts.betweenLaps,
  },
  choices: {
    betweenLaps: commonLabels.choices.betweenLaps,
  },
}
