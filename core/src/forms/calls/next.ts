import { numberStep } from '../../nextTime/numberStep.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import type { CallsBlock } from './schema.ts'

const quickest = 4

/** Calls come a second faster, or a second slower. */
export const callsNext: StepsFor<CallsBlock> = (block, at) => ({
  up: [numberStep('calls', block, 'every', at, -1, { least: quickest })],
  down: [numberStep('calls', block, 'every', at, 1, { most: 15 })],
})
