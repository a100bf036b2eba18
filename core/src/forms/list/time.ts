import type { ListBlock } from './schema.ts'
import { openDose } from '../../timing/openDose.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** One after the other: each amount with its change-over and rests in between, none after the last. */
export function timeList(block: ListBlock, steps: StepBuilder): void {
  const restAfter = steps.valueFor(block.restAfter)
  const turns = block.stations.map((station) => steps.turn(station))
  turns.forEach((turn, i) => {
    if (i > 0) {
      steps.travel(block.travel)
      steps.rest(restAfter, turn)
    }
    steps.dose(turn, turn.cell.dose ?? openDose)
  })
}
