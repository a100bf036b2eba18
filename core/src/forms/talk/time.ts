import type { TalkBlock } from './schema.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** Explaining, fetching equipment, drinking: its seconds, by the clock. */
export function timeTalk(block: TalkBlock, steps: StepBuilder): void {
  steps.talk(steps.valueFor(block.seconds), block.title)
}
