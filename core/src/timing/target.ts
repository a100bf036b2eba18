import type { TargetBlock } from '../session/forms/target.ts'
import { countedSpan } from './countedWork.ts'
import { defaultOf } from './defaults.ts'
import { fraction } from './exact.ts'
import { clocked } from './span.ts'
import type { StepBuilder } from './stepBuilder.ts'

/** Rounds of throws, each collected and written down. */
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
