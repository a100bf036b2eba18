import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** Even the longest lane takes far less than the session's minutes. */
export const wellUnderMinutes: Rule = {
  id: 'well-under-minutes',
  level: 'note',
  family: 'shape',
  find: ({ lanes, session }) => {
    const longest = Math.max(0, ...lanes.map((lane) => lane.seconds))
    const share = longest / (session.minutes * 60)
    if (longest === 0 || share >= limit('underNote', 0)) return []
    return [
      {
        ...(share < limit('underLook', 0) && { level: 'look' as const }),
        where: {},
        groups: lanes.map(({ group }) => group.id),
        facts: { seconds: Math.round(longest), minutes: session.minutes },
      },
    ]
  },
}
