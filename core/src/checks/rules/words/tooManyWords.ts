import { limit } from '../../limits.ts'
import { perLane, type Rule } from '../../rule.ts'

/** More of the teacher's own words than a child of that age reads. */
export const tooManyWords: Rule = {
  id: 'too-many-words',
  level: 'note',
  family: 'words',
  find: (view) => {
    const read = view.said.filter(({ field }) => field !== 'title' && field !== 'ownMoves' && field !== 'storyName')
    const words = read.reduce((sum, { text }) => sum + text.split(/\s+/).filter(Boolean).length, 0)
    return perLane(view, ({ band }) => {
      const most = limit('ownWords', band)
      return words > most ? { facts: { words, most } } : undefined
    })
  },
}
