import { perLane, type Found, type Rule } from '../../rule.ts'

/** A section takes longer than the minutes it was given. */
export const sectionOver: Rule = {
  id: 'section-over',
  level: 'look',
  family: 'shape',
  find: (view) =>
    view.session.sections.flatMap(({ id, minutes, title }): Found[] => {
      if (minutes === undefined) return []
      return perLane(view, ({ totals }) => {
        const by = (totals.sections[id]?.seconds.typical ?? 0) - minutes * 60
        return by > 0 ? { where: { section: id }, facts: { by: Math.round(by), title, minutes } } : undefined
      })
    }),
}
