import { endOf } from '../../hardWork.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** No water break in twenty minutes; outdoors in fifteen. */
export const noWater: Rule = {
  id: 'no-water',
  level: 'note',
  family: 'shape',
  find: ({ lanes, session }) => {
    const within = limit(session.home.outdoors ? 'drinkWithinOutdoors' : 'drinkWithin', 0)
    const dry = lanes.flatMap((lane) => {
      const pause = limit('drinkPause', lane.band)
      let since = 0
      let longest = 0
      for (const step of lane.steps) {
        if ((step.kind !== 'rest' && step.kind !== 'talk') || step.seconds.typical < pause) continue
        longest = Math.max(longest, step.at - since)
        since = endOf(step)
      }
      longest = Math.max(longest, lane.seconds - since)
      return longest > within ? [{ id: lane.group.id, longest }] : []
    })
    if (!dry.length) return []
    const facts = { minutes: Math.round(Math.max(...dry.map((d) => d.longest)) / 60) }
    return [
      { ...(session.home.outdoors && { level: 'look' as const }), where: {}, groups: dry.map((d) => d.id), facts },
    ]
  },
}
