import { limit } from '../../limits.ts'
import type { Found, Rule } from '../../rule.ts'

/** A plank or a wall sit held longer than children can keep good form. */
export const longHold: Rule = {
  id: 'long-hold',
  level: 'look',
  family: 'dose',
  find: ({ lanes }) => {
    const found = new Map<string, Found>()
    for (const { steps, band, group } of lanes)
      for (const { kind, doing, seconds, section, block, station } of steps) {
        if (kind !== 'work' || !doing || !station) continue
        const held = ['brace', 'squat', 'lunge'].includes(doing.move.family) && !doing.move.measures.includes('reps')
        if (!held || seconds.typical <= limit('longHold', band)) continue
        const one = found.get(station) ?? { where: { section, block, station }, groups: [], facts: {} }
        if (!one.groups.includes(group.id)) one.groups.push(group.id)
        one.facts = { move: doing.move.name, seconds: seconds.typical, most: limit('longHold', band) }
        found.set(station, one)
      }
    return [...found.values()]
  },
}
