import type { TargetBlock } from './schema.ts'
import { countedSpan } from '../../timing/countedWork.ts'
import { defaultOf } from '../../timing/defaults.ts'
import { fraction } from '../../timing/exact.ts'
import { clocked } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** Rounds of throws, including collecting and writing down. */
export function timeTarget(block: TargetBlock, steps: StepBuilder): void {
  const throws = steps.valueFor(block.throws)
  const rounds = steps.valueFor(block.rounds)
  const best = Math.max(...block.targets.map((t) => t.points)) * throws
  const span = countedSpan(fraction(throws * defaultOf('throwOne')))
  const gather = defaultOf('collect') + defaultOf('writeScore')
  const text = block.targets.map((t) => `${t.metres} m = ${t.points}`).join(', ')
  for (let lap = 1; lap <= rounds; lap++) {
    steps.tell('work', 'count', span, { code: 'target.throw', params: { n: throws, of: best, text } }, { lap })
    steps.tell('change', 'clock', clocked(gather), { code: 'target.collect', params: {} }, { lap })
  }
}
