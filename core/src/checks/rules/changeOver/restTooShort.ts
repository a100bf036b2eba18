import { performedBy } from '../../../library/versionFor.ts'
import { traitsOf } from '../../../session/formTraits.ts'
import { changeSeconds, stanceFor, type Stance } from '../../../timing/changeOver.ts'
import { defaultPace } from '../../../timing/pace.ts'
import { limit } from '../../limits.ts'
import { perStepOfStation, type Rule } from '../../rule.ts'
import type { CheckedLane, CheckedStep, CheckView } from '../../view.ts'

/** Seconds of getting into place that no rest covers, by the step they are missing before. */
function missing({ steps, group }: CheckedLane, view: CheckView, stance: (step: CheckedStep) => Stance) {
  const pace = defaultPace(group)
  const found = new Map<CheckedStep, number>()
  let before: CheckedStep | undefined
  let rested = 0
  for (const step of steps) {
    const place = view.blocks.get(step.block)
    const clocked = place && traitsOf(place.block).clock
    if (step.kind !== 'work' || !step.doing || !clocked) {
      rested += step.seconds.typical
      continue
    }
    if (before?.block === step.block && before.station !== step.station)
      found.set(step, changeSeconds(stance(before), stance(step)) * pace - rested)
    before = step
    rested = 0
  }
  return found
}

/** By the clock the next move begins before anybody can be in place: the clock does not wait, as a child that counts does. */
export const restTooShort: Rule = {
  id: 'rest-too-short',
  level: 'look',
  family: 'changeOver',
  find: (view) => {
    const loaded = new Set(view.cells.filter((c) => c.cell.load).map((c) => `${c.station.id} ${c.group.id}`))
    const short = new Map(
      view.lanes.flatMap((lane) => [
        ...missing(lane, view, ({ doing, station }) => {
          const what = performedBy({ move: doing!.move.id, version: doing!.version.id }, view.library)
          return stanceFor(what, loaded.has(`${station} ${lane.group.id}`), view.library)
        }),
      ]),
    )
    return perStepOfStation(view, (step, { band }) => {
      const seconds = short.get(step) ?? 0
      return seconds > limit('changeUncovered', band)
        ? { facts: { move: step.doing!.version.name, seconds: Math.round(seconds) } }
        : undefined
    })
  },
}
