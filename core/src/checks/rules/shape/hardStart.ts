import { isHard } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import { perStepOfStation, type Rule } from '../../rule.ts'
import { movedBefore } from '../../warmth.ts'

/** A full-effort jump or a load in the first minute of a warm-up. */
export const hardStart: Rule = {
  id: 'hard-start',
  level: 'look',
  family: 'shape',
  find: (view) => {
    const loaded = new Set(view.cells.filter((c) => c.cell.load?.kg).map((c) => `${c.station.id} ${c.group.id}`))
    return perStepOfStation(view, (step, lane) => {
      if (view.blocks.get(step.block)?.section.role !== 'warmUp' || step.kind !== 'work' || !step.doing)
        return undefined
      const jumps = isHard(step) && step.doing.version.impact >= limit('hardImpact', lane.band)
      if (!jumps && !loaded.has(`${step.station} ${lane.group.id}`)) return undefined
      if (movedBefore(lane, step.at) >= limit('firstMinute', lane.band)) return undefined
      return { facts: { move: step.doing.version.name } }
    })
  },
}
