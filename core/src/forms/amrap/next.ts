import { numberStep } from '../../nextTime/numberStep.ts'
import { lessReps } from '../../nextTime/rowSteps.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import type { AmrapBlock } from './schema.ts'

const longest = 12 * 60

/** The dose stays: the child's own number is what grows. Older children get a minute more. */
export const amrapNext: StepsFor<AmrapBlock> = (block, at) => ({
  up: [at.band === 2 ? numberStep('minute', block, 'cap', at, 60, { most: longest }) : undefined],
  down: [lessReps(block, at)],
})
