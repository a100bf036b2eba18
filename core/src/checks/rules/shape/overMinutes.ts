import type { Rule } from '../../rule.ts'

/** A lane takes longer than the session's minutes. */
export const overMinutes: Rule = {
  id: 'over-minutes',
  level: 'look',
  family: 'shape',
  find: ({ lanes, session }) => {
    const late = lanes.filter((lane) => lane.seconds > session.minutes * 60)
    if (!late.length) return []
    const by = Math.max(...late.map((lane) => lane.seconds)) - session.minutes * 60
    return [
      { where: {}, groups: late.map(({ group }) => group.id), facts: { by: Math.round(by), minutes: session.minutes } },
    ]
  },
}
