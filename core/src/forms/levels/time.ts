import type { LevelsBlock } from './schema.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/** Each of the group's levels for its timed seconds, changing over inside them, then the bonus if there is one. */
export function timeLevels(block: LevelsBlock, steps: StepBuilder): void {
  const seconds = steps.valueFor(block.seconds)
  const bonus = block.bonus ? block.stations.at(-1) : undefined
  const ladder = bonus ? block.stations.slice(0, -1) : block.stations
  const [from, to] = [steps.valueFor(block.from), steps.valueFor(block.to)]
  const own = ladder.slice(Math.min(from, to) - 1, Math.max(from, to))
  for (const station of bonus ? [...own, bonus] : own) {
    steps.splitSlot(steps.turn(station), seconds)
  }
}
