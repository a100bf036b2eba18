import { limit } from '../../limits.ts'
import type { Found, Rule } from '../../rule.ts'

/** A talk longer than children of this age listen. */
export const longTalk: Rule = {
  id: 'long-talk',
  level: 'look',
  family: 'shape',
  find: ({ lanes }) => {
    const found = new Map<string, Found>()
    for (const { steps, band, group } of lanes)
      for (const { kind, block, section, seconds, say } of steps) {
        // The rules of a game and a sum are read during play, so they are not counted.
        if (kind !== 'talk' || say.code !== 'talk' || seconds.typical <= limit('talk', band)) continue
        const one = found.get(block) ?? { where: { section, block }, groups: [], facts: {} }
        one.groups.push(group.id)
        one.facts = { seconds: seconds.typical, most: limit('talk', band) }
        found.set(block, one)
      }
    return [...found.values()]
  },
}
