import type { Found, Rule } from '../../rule.ts'
import { saidOf, type WordRule } from '../../wordRule.ts'

const thing = String.raw`bricks?|stones?|paint|furniture|pillow ?cases?|iron|glass|your (?:little |baby )?(?:brother|sister)|ladrillos?|piedras?`
const pattern = new RegExp(
  String.raw`\b(?:lift|carry|press|curl|hold|use)\b.{0,24}\b(?:${thing})\b(?!.{0,12}\bline)`,
  'i',
)

/** A weight that can break, slip or fall apart: a brick, furniture, a loose pillowcase. */
export const unsafeWeight: Rule & WordRule = {
  id: 'unsafe-weight',
  level: 'stop',
  family: 'home',
  pattern,
  find: (view) => [
    ...saidOf(view, pattern),
    ...Object.entries(view.session.home.standIns).flatMap(([kit, words]): Found[] => {
      const weight = kit === 'bottle' || kit === 'school-bag'
      return weight && new RegExp(String.raw`\b(?:${thing})\b`, 'i').test(words)
        ? [{ where: {}, groups: [], facts: { words, kit, name: view.library.kit.get(kit)?.name ?? kit } }]
        : []
    }),
  ],
}
