import { numberStep } from '../../nextTime/numberStep.ts'
import { easierVersion, rowsUp } from '../../nextTime/rowSteps.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import type { RoundsBlock } from './schema.ts'

/** Like rows; for the youngest, without another version, one round more, up to five. */
export const roundsNext: StepsFor<RoundsBlock> = (block, at) => ({
  up: [...rowsUp(block, at), at.band === 0 ? numberStep('round', block, 'rounds', at, 1, { most: 5 }) : undefined],
  down: [easierVersion(block, at)],
})
