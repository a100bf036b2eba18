import { openDose } from '../../timing/openDose.ts'
import { addSpan, noTime } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'
import type { RelayBlock } from './schema.ts'

/**
 * From the first child's view: a station's work, the swap, and the same time again while the other does it; the swap back comes before the
 * next station, never after the last.
 */
export function timeRelay(block: RelayBlock, steps: StepBuilder): void {
  const rounds = steps.valueFor(block.rounds)
  const change = steps.valueFor(block.change)
  for (let lap = 1; lap <= rounds; lap++) {
    block.stations.forEach((station, i) => {
      const turn = steps.turn(station, lap)
      if (i > 0 || lap > 1) steps.rest(change, turn, lap)
      const first = steps.steps.length
      steps.dose(turn, turn.cell.dose ?? openDose, { lap })
      const work = steps.steps.slice(first).filter((step) => step.kind !== 'change')
      const seconds = work.reduce((sum, step) => addSpan(sum, step.seconds), noTime)
      const { amount, unit } = turn.cell.dose ?? openDose
      const params = { move: turn.cell.move, version: turn.cell.version, amount, unit }
      steps.rest(change, { code: 'relay.change', params: {} }, lap)
      steps.wait(seconds, { code: 'relay.other', params }, { lap, station: station.id })
    })
  }
}
