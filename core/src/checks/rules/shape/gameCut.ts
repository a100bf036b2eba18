import { endOf } from '../../hardWork.ts'
import { perLane, type Rule } from '../../rule.ts'

/** A game that runs past the minutes: children won't want to stop it. */
export const gameCut: Rule = {
  id: 'game-cut',
  level: 'look',
  family: 'shape',
  find: (view) => {
    const games = new Set(view.session.sections.filter((s) => s.role === 'game').map((s) => s.id))
    const most = view.session.minutes * 60
    return perLane(view, ({ steps }) => {
      const last = steps.filter((s) => games.has(s.section)).at(-1)
      if (!last || endOf(last) <= most) return undefined
      return { where: { section: last.section }, facts: { by: Math.round(endOf(last) - most) } }
    })
  },
}
