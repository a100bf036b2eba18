import type { TargetBlock } from '../workout/forms/target.ts'
import { defaultOf } from './defaults.ts'
import { clocked, roundHalfUp } from './span.ts'
import type { StepBuilder } from './stepBuilder.ts'

/** Rounds of throws, each collected and written down. */
export function timeTarget(block: TargetBlock, steps: StepBuilder): void {
  const throws = steps.valueFor(block.throws)
  const rounds = steps.valueFor(block.rounds)
  const best = Math.max(...block.targets.map((t) => t.points)) * throws
  const seconds = throws * defaultOf('throwOne')
  const span = {
    low: roundHalfUp(seconds * defaultOf('quick')),
    typical: roundHalfUp(seconds),
    high: roundHalfUp(seconds * defaultOf('slow')),
  }
  const text = block.targets.map((t) => `${t.metres} m = ${t.points}`).join(', ')
  for (let lap = 1; lap <= rounds; lap++) {
    steps.tell('work', 'count', span, { code: 'target.throw', params: { n: throws, of: best, text } }, { lap })
    steps.tell('change', 'clock', clocked(defaultOf('collect')), { code: 'target.collect', params: {} }, { lap })
  }
}
