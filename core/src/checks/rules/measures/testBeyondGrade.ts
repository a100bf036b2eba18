import { perTest } from '../../measured.ts'
import type { Rule } from '../../rule.ts'

/** A test that is not done at home at this age. */
export const testBeyondGrade: Rule = {
  id: 'test-beyond-grade',
  level: 'look',
  family: 'measures',
  find: (view) =>
    perTest(view, ({ measure }) => {
      const groups = view.lanes.filter((lane) => lane.grade < measure.fromGrade).map((lane) => lane.group.id)
      return groups.length ? { groups, facts: { test: measure.name, from: measure.fromGrade } } : undefined
    }),
}
