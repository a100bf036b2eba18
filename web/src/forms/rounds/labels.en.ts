import type { FormLabels } from '../labels.ts'
import { commonEn } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const roundsEn: FormLabels = {
  name: 'Rounds',
  about: 'a circuit by reps, a rest after each round',
  facts: {
    rounds: 'Rounds',
    restBetween: 'Rest between rounds',
    restStations: 'Rest between stations',
    cap: 'Time cap',
    travel: commonEn.facts.travel,
    betweenLaps: commonEn.facts.betweenLaps,
  },
  choices: {
    betweenLaps: commonEn.choices.betweenLaps,
  },
}
