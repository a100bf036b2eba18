import { rungsFor, type LadderBlock } from './schema.ts'
import { unitTaken } from '../../timing/countedWork.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** Rung by rung: that many of each station, a rest, the next rung. A station's amount is the rung's number. */
export function timeLadder(block: LadderBlock, steps: StepBuilder): void {
  const { unit } = block
  const restBetween = steps.valueFor(block.restBetween)
  rungsFor(block, steps.group.id).forEach((amount, r) => {
    block.stations.forEach((station, i) => {
      const turn = steps.turn(station, r + 1)
      if (i === 0 && r > 0) steps.rest(restBetween, turn, r)
      steps.dose(turn, { unit: unitTaken(unit, turn.what.move), amount }, { lap: r + 1 })
    })
  })
}
