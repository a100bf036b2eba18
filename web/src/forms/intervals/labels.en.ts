import type { FormLabels } from '../labels.ts'
import { commonEn } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const intervalsEn: FormLabels = {
  name: 'By the clock',
  about: 'work and rest, laps of all stations',
  facts: {
    lapRest: 'A rest of its own between laps',
    laps: 'Laps',
    lastRest: 'No rest after the very last',
    sideSlots: 'Each side a slot of its own',
    pick: 'The child chooses so many of them',
    travel: commonEn.facts.travel,
    betweenLaps: commonEn.facts.betweenLaps,
  },
  choices: {
    betweenLaps: commonEn.choices.betweenLaps,
  },
}
