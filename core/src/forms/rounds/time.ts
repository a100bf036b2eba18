import type { RoundsBlock } from './schema.ts'
import { openDose } from '../../timing/openDose.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/**
 * Times a circuit by reps. Rests come only in between; at the end of a round `restBetween` replaces `restStations`; a cap cuts the step
 * that reaches it.
 */
export function timeRounds(block: RoundsBlock, steps: StepBuilder): void {
  const rounds = steps.valueFor(block.rounds)
  const restBetween = steps.valueFor(block.restBetween)
  const restStations = steps.valueFor(block.restStations)
  steps.capped(block.cap && steps.valueFor(block.cap), () => {
    for (let lap = 1; lap <= rounds; lap++) {
      block.stations.forEach((station, i) => {
        const turn = steps.turn(station, lap)
        if (i > 0) {
          steps.travel(block.travel)
          steps.rest(restStations, turn, lap)
        } else if (lap > 1) {
          if (block.betweenLaps) steps.measure(block.betweenLaps, 1)
          steps.rest(restBetween, turn, lap - 1)
        }
        steps.dose(turn, turn.cell.dose ?? openDose, { lap })
      })
    }
  })
}
