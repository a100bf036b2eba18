import type { FormLabels } from '../labels.ts'
import { commonLabels } from '../common.en.ts'

/** What a teacher reads of it in English. */
export const ladderLabels: FormLabels = {
  name: 'Ladder',
  about: 'one of each, two of each … ten',
  facts: {
    ends: 'From and to',
    restBetween: 'Rest between rungs',
    by: 'By',
    shape: 'Which way',
    rungs: 'Any row of rungs',
    unit: commonLabels.facts.unit,
  },
  choices: {
    shape: { up: 'Up', down: 'Down', upDown: 'Up and down again' },
    unit: commonLabels.choices.unit,
  },
}
