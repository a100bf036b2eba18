import { limit } from '../../limits.ts'
import { perStation, type Rule } from '../../rule.ts'
import type { CheckView } from '../../view.ts'
import { saidOf, type WordRule } from '../../wordRule.ts'

const pattern = /\b(?:coins|marbles?|beads?|buttons|pebbles|balloons?|monedas|canicas|globos?)\b/i
const young = ({ lanes, session }: CheckView): string[] =>
  session.home.company === 'alone'
    ? lanes.filter(({ grade }) => grade <= limit('young', 0)).map(({ group }) => group.id)
    : []

/** Things a small child can choke on, with nobody near. */
export const smallThings: Rule & WordRule = {
  id: 'small-things',
  level: 'stop',
  family: 'home',
  pattern,
  find: (view) => {
    const groups = young(view)
    if (!groups.length) return []
    return [
      ...saidOf(view, pattern, groups),
      ...perStation(view, ({ move, version, group }) => {
        const balloon = (version.kit ?? move.kit).some((k) => k.id === 'balloon' && !k.optional)
        return balloon && groups.includes(group.id) && !view.session.home.standIns.balloon
          ? { facts: { words: version.name } }
          : undefined
      }),
    ]
  },
}
