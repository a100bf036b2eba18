import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads about it in English. */
export const ladderLabels: FormLabels = {
  name: 'Ladder',
  about: 'one of each, two of each, … ten of each',
  facts: {
    ends: 'From and to',
    restBetween: 'Rest between rungs',
    by: 'Step',
    shape: 'Direction',
    rungs: 'Your own rungs',
    unit: commonLabels.facts.unit,
  },
  choices: {
    shape: { up: 'Up', down: 'Down', upDown: 'Up and down' },
    unit: commonLabels.choices.unit,
  },
}
