import type { TestId } from '../terms/measure.ts'
import type { Block } from './forms.ts'
import { traitsOf } from './formTraits.ts'

/** The tests known to sessions before version 4 and pieces before version 3. */
const known: readonly TestId[] = ['pulse', 'sitAndReach', 'hold', 'reps30']

/** Whether a block names a test or a set-up that the previous version does not know. */
export function saysNewTest(block: Block): boolean {
  const measured = traitsOf(block).measured?.(block)
  if (block.betweenLaps && !known.includes(block.betweenLaps)) return true
  return measured !== undefined && (measured.setUp !== undefined || !known.includes(measured.test))
}
