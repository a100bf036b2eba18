import { sumsFor } from '../../sums/sums.ts'
import type { SumsBlock } from './schema.ts'
import { lowestGrade } from '../../terms/group.ts'
import { unitTaken } from '../../timing/countedWork.ts'
import { defaultOf } from '../../timing/defaults.ts'
import { clocked } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** A sum to think about, then its result in reps or seconds. */
export function timeSums(block: SumsBlock, steps: StepBuilder): void {
  const think = defaultOf(lowestGrade(steps.group) <= 1 ? 'thinkK1' : 'think')
  const sums = sumsFor(block, steps.group, steps.sumsAsked)
  block.stations.forEach((station, i) => {
    const sum = sums[i]!
    const turn = steps.turn(station)
    steps.tell(
      'talk',
      'clock',
      clocked(think),
      { code: 'sums.sum', params: { ...sum.written } },
      { station: station.id },
    )
    steps.dose(turn, { unit: unitTaken(block.unit, turn.what.move), amount: sum.answer })
  })
}
