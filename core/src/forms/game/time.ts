import type { GameBlock } from './schema.ts'
import { clocked } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** A game for its seconds, in the teacher's words. */
export function timeGame(block: GameBlock, steps: StepBuilder): void {
  const text = [block.setUp, block.rules].filter(Boolean).join('\n')
  const params = { title: block.title, text, ...(block.onMiss && missOf(steps.valueFor(block.onMiss))) }
  steps.tell('work', 'clock', clocked(steps.valueFor(block.seconds)), { code: 'game.play', params })
}

const missOf = ({ move, version, dose }: NonNullable<GameBlock['onMiss']>['all']) => ({
  move,
  version,
  ...(dose && { amount: dose.amount, unit: dose.unit }),
})
