import type { TestId } from '../../../terms/measure.ts'
import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'
import { movedBefore } from '../../warmth.ts'

/** A reach test before the lesson is cold on purpose: it is compared with the one after the lesson. */
const coldFirst: readonly TestId[] = ['sitAndReach']

/** A test that needs a warm body is done without a warm-up. */
export const measuredCold: Rule = {
  id: 'measured-cold',
  level: 'look',
  family: 'measures',
  find: (view) =>
    perLane(view, (lane) => {
      const cold = lane.steps.find(({ kind, at, say: { params } }) => {
        const measure = kind === 'measure' ? view.library.measures.get(params.test!) : undefined
        if (measure?.warm !== 'needed' || (params.title === 'before' && coldFirst.includes(measure.id))) return false
        return movedBefore(lane, at) < limit('warmBeforeTest', lane.band)
      })
      return (
        cold && {
          where: { section: cold.section, block: cold.block },
          facts: { moved: Math.round(movedBefore(lane, cold.at)) },
        }
      )
    }),
}
