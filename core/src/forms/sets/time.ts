import type { SetsBlock } from './schema.ts'
import { openDose } from '../../timing/openDose.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** One exercise at a time: all its sets with rests in between, then the next exercise. No rest at the end. */
export function timeSets(block: SetsBlock, steps: StepBuilder): void {
  const sets = steps.valueFor(block.sets)
  const restBetween = steps.valueFor(block.restBetween)
  const restStations = steps.valueFor(block.restStations)
  block.stations.forEach((station, i) => {
    for (let set = 1; set <= sets; set++) {
      const turn = steps.turn(station, set)
      if (set > 1) steps.rest(restBetween, turn)
      else if (i > 0) steps.rest(restStations, turn)
      steps.dose(turn, turn.cell.dose ?? openDose, { set })
    }
  })
}
