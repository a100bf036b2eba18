import { perTest } from '../../measured.ts'
import type { Rule } from '../../rule.ts'

/** A test with landings that people below can hear. */
export const testThuds: Rule = {
  id: 'test-thuds',
  level: 'look',
  family: 'measures',
  find: (view) =>
    view.session.home.quiet
      ? perTest(view, ({ measure }) => (measure.thud ? { facts: { test: measure.name } } : undefined))
      : [],
}
