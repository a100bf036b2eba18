import { isMoving } from '../../hardWork.ts'
import { perLane, type Rule } from '../../rule.ts'

/** The session starts with a held stretch, though the school's warm-ups only move. */
export const staticFirst: Rule = {
  id: 'static-first',
  level: 'note',
  family: 'shape',
  find: (view) =>
    perLane(view, ({ steps }) => {
      if (view.context.heldWarmUp) return undefined
      const first = steps.find((s) => s.kind === 'work')
      if (first?.doing?.move.family !== 'stretch' || isMoving(first) || !first.station) return undefined
      return {
        where: { section: first.section, block: first.block, station: first.station },
        facts: { move: first.doing.version.name },
      }
    }),
}
