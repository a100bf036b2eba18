import type { TermRule } from '../termRule.ts'

/** Things a week that a family fetches. Trade's. */
export const mostThings = 3

/** More equipment in a week than a family has at hand. */
export const thingsAWeek: TermRule = {
  id: 'things-a-week',
  level: 'note',
  find: ({ term, days }) =>
    Array.from({ length: term.weeks }, (_, week) => week).flatMap((week) => {
      const things = new Set(days.filter((d) => d.week === week).flatMap((d) => d.session.things)).size
      return things > mostThings ? [{ week: week + 1, things }] : []
    }),
}
