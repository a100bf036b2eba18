import { measuredIn, perTest } from '../../measured.ts'
import type { Rule } from '../../rule.ts'

/** The same test has two different set-ups in one session, so its results do not compare. */
export const otherSetUp: Rule = {
  id: 'other-set-up',
  level: 'look',
  family: 'measures',
  find: (view) => {
    const all = measuredIn(view)
    return perTest(view, ({ measure, setUp, block }) => {
      const first = all.find((m) => m.measure === measure)!
      if (first.block === block || first.setUp === setUp) return undefined
      return { facts: { test: measure.name, first: first.setUp.name, other: setUp.name } }
    })
  },
}
