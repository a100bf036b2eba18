import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** Lanes that should finish together and do not. */
export const lanesApart: Rule = {
  id: 'lanes-apart',
  level: 'look',
  family: 'shape',
  find: ({ lanes, session }) => {
    if (!session.finishTogether || lanes.length < 2) return []
    const seconds = lanes.map((lane) => lane.seconds)
    const apart = Math.max(...seconds) - Math.min(...seconds)
    const counted = lanes.some(({ steps }) => steps.some((s) => s.kind === 'work' && s.by === 'count'))
    const most = counted
      ? Math.max(limit('apartCounted', 0), Math.max(...seconds) * limit('apartCountedShare', 0))
      : limit('apartClock', 0)
    if (apart <= most) return []
    return [
      {
        where: {},
        groups: lanes.map(({ group }) => group.id),
        facts: { apart: Math.round(apart), most: Math.round(most) },
      },
    ]
  },
}
