import { endOf } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** No pause to drink in twenty minutes; outdoors in fifteen. */
export const noWater: Rule = {
  id: 'no-water',
  level: 'note',
  family: 'shape',
  find: ({ lanes, workout }) => {
    const within = limit(workout.home.outdoors ? 'drinkWithinOutdoors' : 'drinkWithin', 0)
    const dry = lanes.flatMap((lane) => {
      const pauses = lane.steps.filter(
        (s) => ['rest', 'talk'].includes(s.kind) && s.seconds.typical >= limit('drinkPause', lane.band),
      )
      const moments = [0, ...pauses.flatMap((s) => [s.at, endOf(s)]), lane.seconds]
      const longest = Math.max(...moments.slice(1).map((at, i) => at - moments[i]!))
      return longest > within ? [{ id: lane.group.id, longest }] : []
    })
    if (!dry.length) return []
    const facts = { minutes: Math.round(Math.max(...dry.map((d) => d.longest)) / 60) }
    return [
      { ...(workout.home.outdoors && { level: 'look' as const }), where: {}, groups: dry.map((d) => d.id), facts },
    ]
  },
}
