import { fetchList } from '../../../home/fetchList.ts'
import { limit } from '../../limits.ts'
import type { Rule } from '../../rule.ts'

/** More things to fetch than a child of this age gathers alone. */
export const thingsToFetch: Rule = {
  id: 'things-to-fetch',
  level: 'note',
  family: 'home',
  find: ({ session, library, lanes }) => {
    const things = fetchList(session, library).filter((item) => !item.optional)
    const many = lanes.filter(({ band }) => things.length > limit('fetch', band))
    if (!many.length) return []
    const facts = { things: things.length, most: Math.min(...many.map(({ band }) => limit('fetch', band))) }
    return [{ where: {}, groups: many.map(({ group }) => group.id), facts }]
  },
}
