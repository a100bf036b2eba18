import { numberStep } from '../../nextTime/numberStep.ts'
import type { StepsFor } from '../../nextTime/step.ts'
import { valueFor } from '../../terms/perGroup.ts'
import type { LadderBlock } from './schema.ts'

/** The highest rung of a band. Common practice, no source. */
const highest = [6, 8, 10] as const

/**
 * One rung more at the larger end, up to the highest of the band; or two fewer. A falling ladder starts with its larger end. A custom row
 * of numbers is the teacher's and stays.
 */
export const ladderNext: StepsFor<LadderBlock> = (block, at) => {
  if (block.rungs || block.unit === 'seconds') return { up: [], down: [] }
  const { by } = block
  const [from, to] = [valueFor(block.from, at.group.id), valueFor(block.to, at.group.id)]
  const larger = from > to ? 'from' : 'to'
  return {
    up: [numberStep('rung', block, larger, at, by, { most: highest[at.band] * by })],
    down: [numberStep('rung', block, larger, at, -2 * by, { least: Math.min(from, to) + by })],
  }
}
