import { performedBy } from '../../../library/versionFor.ts'
import { traitsOf } from '../../../session/formTraits.ts'
import type { Version } from '../../../terms/move.ts'
import { changeSeconds, stanceFor, type Stance } from '../../../timing/changeOver.ts'
import { defaultPace } from '../../../timing/pace.ts'
import { limit } from '../../limits.ts'
import { perStepOfStation, type Rule } from '../../rule.ts'
import type { CheckedLane, CheckedStep, CheckView } from '../../view.ts'

/** The postures of a step, each version looked up once; other holds are looked up for its station. */
function stancesIn({ cells, library }: CheckView): (step: CheckedStep, lane: CheckedLane) => Stance {
  const loaded = new Set(cells.filter((c) => c.cell.load).map((c) => `${c.station.id} ${c.group.id}`))
  const known = new Map<Version, Stance>()
  return ({ doing, station }, { group }) => {
    const { move, version } = doing!
    const load = loaded.size > 0 && loaded.has(`${station} ${group.id}`)
    const before = load ? undefined : known.get(version)
    if (before) return before
    const stance = stanceFor(performedBy({ move: move.id, version: version.id }, library), load, library)
    if (!load) known.set(version, stance)
    return stance
  }
}

/** Timed steps that start before anybody can be in position, with the seconds that no rest covers. */
function tooSoon(view: CheckView): Map<CheckedStep, number> {
  const stance = stancesIn(view)
  const found = new Map<CheckedStep, number>()
  // The same neighbors occur in every lap and every lane.
  const known = new Map<Stance, Map<Stance, number>>()
  const between = (from: Stance, to: Stance): number => {
    const own = known.get(from) ?? new Map<Stance, number>()
    const seconds = own.get(to) ?? changeSeconds(from, to)
    known.set(from, own.set(to, seconds))
    return seconds
  }
  const clocked = new Set([...view.blocks.values()].filter(({ block }) => traitsOf(block).clock).map((p) => p.block.id))
  for (const lane of view.lanes) {
    const pace = defaultPace(lane.group)
    let before: CheckedStep | undefined
    let rested = 0
    for (const step of lane.steps) {
      if (step.kind !== 'work' || !step.doing || !clocked.has(step.block)) {
        rested += step.seconds.typical
        continue
      }
      if (before?.block === step.block && before.station !== step.station) {
        const short = between(stance(before, lane), stance(step, lane)) * pace - rested
        if (short > limit('changeUncovered', lane.band)) found.set(step, short)
      }
      before = step
      rested = 0
    }
  }
  return found
}

/** By the clock, the next exercise starts before anybody can be in position: a clock does not wait. */
export const restTooShort: Rule = {
  id: 'rest-too-short',
  level: 'look',
  family: 'changeOver',
  find: (view) => {
    const soon = tooSoon(view)
    return perStepOfStation(view, (step) => {
      const seconds = soon.get(step)
      return seconds ? { facts: { move: step.doing!.version.name, seconds: Math.round(seconds) } } : undefined
    })
  },
}
