import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'
import { movedBefore } from '../../warmth.ts'

/** Tests that need a warm body; a resting pulse and a reach before the lesson are cold on purpose. */
const warm = ['hold', 'reps30']

/** A hold or reps in half a minute are measured on a cold body. */
export const measuredCold: Rule = {
  id: 'measured-cold',
  level: 'look',
  family: 'measures',
  find: (view) =>
    perLane(view, (lane) => {
      const cold = lane.steps.find(
        (s) =>
          s.kind === 'measure' &&
          warm.includes(s.say.params.test ?? '') &&
          movedBefore(lane, s.at) < limit('warmBeforeTest', lane.band),
      )
      return (
        cold && {
          where: { section: cold.section, block: cold.block },
          facts: { moved: Math.round(movedBefore(lane, cold.at)) },
        }
      )
    }),
}
