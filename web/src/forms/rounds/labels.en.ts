import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads about it in English. */
export const roundsLabels: FormLabels = {
  name: 'Rounds',
  about: 'a circuit of reps with a rest after each round',
  facts: {
    rounds: 'Rounds',
    restBetween: 'Rest between rounds',
    restStations: 'Rest between stations',
    cap: 'Time limit',
    travel: commonLabels.facts.travel,
    betweenLaps: commonLabels.facts.betweenLaps,
  },
  choices: {
    betweenLaps: commonLabels.choices.betweenLaps,
  },
}
