import type { MeasureBlock } from './schema.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** A measurement, on the clock. */
export function timeMeasure(block: MeasureBlock, steps: StepBuilder): void {
  steps.measure(block.test, steps.valueFor(block.trials), block.moment)
}
