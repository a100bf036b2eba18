import type { Found, Rule } from '../../rule.ts'
import { saidSo } from '../../said.ts'
import type { WordRule } from '../../wordRule.ts'

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
  find: ({ session, said, library }) => [
    ...said.flatMap(({ text, where }): Found[] => {
      const words = saidSo(text, pattern)
      return words === undefined ? [] : [{ where, groups: [], facts: { words } }]
    }),
    ...Object.entries(session.home.standIns).flatMap(([kit, words]): Found[] => {
      const weight = kit === 'bottle' || kit === 'school-bag'
      return weight && new RegExp(String.raw`\b(?:${thing})\b`, 'i').test(words)
        ? [{ where: {}, groups: [], facts: { words, kit, name: library.kit.get(kit)?.name ?? kit } }]
        : []
    }),
  ],
}
