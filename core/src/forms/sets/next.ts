import { numberStep } from '../../nextTime/numberStep.ts'
import { easierVersion, rowsUp } from '../../nextTime/rowSteps.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import type { SetsBlock } from './schema.ts'

/** Like rows; for the youngest, without another version, one set more, up to five. */
export const setsNext: StepsFor<SetsBlock> = (block, at) => ({
  up: [...rowsUp(block, at), at.band === 0 ? numberStep('round', block, 'sets', at, 1, { most: 5 }) : undefined],
  down: [easierVersion(block, at)],
})
