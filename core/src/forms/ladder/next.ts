import { numberStep } from '../../nextTime/numberStep.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import { valueFor } from '../../terms/perGroup.ts'
import type { LadderBlock } from './schema.ts'

/** The highest rung of a band. Trade's. */
const highest = [6, 8, 10] as const

/** A rung more, up to the highest of the band; two less. A row of numbers of its own is the teacher's. */
export const ladderNext: StepsFor<LadderBlock> = (block, at) => {
  if (block.rungs || block.unit === 'seconds') return { up: [], down: [] }
  const { by } = block
  const from = valueFor(block.from, at.group.id)
  return {
    up: [numberStep('rung', block, 'to', at, by, { most: highest[at.band] * by })],
    down: [numberStep('rung', block, 'to', at, -2 * by, { least: from + by })],
  }
}
