import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const intervalsLabels: FormLabels = {
  name: 'By the clock',
  about: 'work and rest, laps of all stations',
  facts: {
    lapRest: 'A rest of its own between laps',
    laps: 'Laps',
    lastRest: 'No rest after the very last',
    sideSlots: 'Each side a slot of its own',
    pick: 'The child chooses so many of them',
    travel: commonLabels.facts.travel,
    betweenLaps: commonLabels.facts.betweenLaps,
  },
  choices: {
    betweenLaps: commonLabels.choices.betweenLaps,
  },
}
