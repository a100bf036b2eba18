import { perStation, type Level, type Rule } from '../../rule.ts'
import type { CheckView } from '../../view.ts'
import { saidOf, type WordRule } from '../../wordRule.ts'

const pattern =
  /\b(?:(?:forward|backward|front|back) rolls?|head-?stands?|hand-?stands?|shoulder-?stands?|cart-?wheels?|somersaults?|volteretas?|parada de manos|parada de cabeza|vertical de cabeza)\b/i

const young = (grade: number): boolean => grade < 3
/** *Fix* for the youngest and for children alone; *advice* with an adult near. */
const levelFor = (grade: number, { session }: CheckView): Level =>
  young(grade) || session.home.company === 'alone' ? 'stop' : 'look'

/** Rolls over the neck, standing on head or hands, feet on the wall above the hips. Log rolls, rocking and the dog don't count. */
export const inverted: Rule & WordRule = {
  id: 'inverted',
  level: 'stop',
  family: 'care',
  pattern,
  find: (view) => [
    ...saidOf(view, pattern).map((found) => {
      const lowest = Math.min(...view.lanes.map(({ grade }) => grade))
      return { ...found, level: levelFor(lowest, view) }
    }),
    ...perStation(view, ({ move, version, group }) =>
      move.id === 'wall-walk' && move.versions[0]!.id !== version.id
        ? { level: levelFor(Math.min(...group.grades), view), facts: { words: version.name } }
        : undefined,
    ),
  ],
}
