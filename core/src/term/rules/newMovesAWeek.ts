import type { TermRule } from '../termRule.ts'

/** New exercises a week that a class can learn. Trade's. */
export const mostNewMoves = 3

/** More new exercises in a week than a class learns. The first week with sessions is exempt: everything starts there. */
export const newMovesAWeek: TermRule = {
  id: 'new-moves-a-week',
  level: 'note',
  find: ({ term, days, met }) => {
    const known = new Set(met)
    const began = days[0]?.week
    return Array.from({ length: term.weeks }, (_, week) => week).flatMap((week) => {
      const here = new Set(days.filter((d) => d.week === week).flatMap((d) => d.session.moves))
      const fresh = [...here].filter((id) => !known.has(id))
      for (const id of fresh) known.add(id)
      return week !== began && fresh.length > mostNewMoves ? [{ week: week + 1, moves: fresh.length }] : []
    })
  },
}
