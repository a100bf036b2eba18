import type { Library } from '../../library/library.ts'
import type { AmrapBlock } from './schema.ts'
import type { Group } from '../../terms/group.ts'
import { defaultOf } from '../../timing/defaults.ts'
import { fraction, type Fraction } from '../../timing/exact.ts'
import { openDose } from '../../timing/openDose.ts'
import { defaultPace } from '../../timing/pace.ts'
import { StepBuilder } from '../../timing/stepBuilder.ts'

/** How much longer counted work of a round takes than in the first: from the third round on 4 % longer than the round before (ours). */
const fade = (round: number): Fraction[] => Array<Fraction>(Math.max(0, round - 2)).fill(longer)
const longer = fraction(1 + defaultOf('amrapFade'))

/** One round of all the stations. */
function timeRound(block: AmrapBlock, steps: StepBuilder, lap: number): void {
  block.stations.forEach((station, i) => {
    if (i > 0 || lap > 1) steps.travel(block.travel)
    const turn = steps.turn(station, lap)
    steps.dose(turn, turn.cell.dose ?? openDose, { lap })
  })
}

/** As many rounds as fit before the cap; the step that reaches the cap is cut. */
export function timeAmrap(block: AmrapBlock, steps: StepBuilder): void {
  const cap = steps.valueFor(block.cap)
  const start = steps.now
  const rounds = () => {
    for (let round = 1; steps.now - start < cap; round++) {
      const before = steps.now
      steps.slower(fade(round), () => timeRound(block, steps, round))
      if (steps.now === before) break
    }
  }
  steps.capped(cap, rounds, true)
}

/**
 * How many rounds a group completes, to a tenth.
 *
 * @example a round of 60 s in ten minutes: 60, 60, 62.4, 64.9 … gives 9.1
 */
export function amrapRounds(block: AmrapBlock, group: Group, library: Library, pace = defaultPace(group)): number {
  const steps = new StepBuilder(group, library, pace)
  const cap = steps.valueFor(block.cap)
  for (let round = 1; ; round++) {
    const before = steps.now
    steps.slower(fade(round), () => timeRound(block, steps, round))
    const took = steps.now - before
    if (took === 0) return 0
    // In whole tenths: part of a round is rounded down.
    if (steps.now >= cap) return (10 * (round - 1) + Math.floor((10 * (cap - before)) / took)) / 10
  }
}
