import { easierVersion, rowsUp } from '../../nextTime/rowSteps.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import type { ListBlock } from './schema.ts'

/** One more of each, then heavier, then another version. */
export const listNext: StepsFor<ListBlock> = (block, at) => ({
  up: rowsUp(block, at),
  down: [easierVersion(block, at)],
})
