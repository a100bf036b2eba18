import type { TermRule } from '../termRule.ts'

/** From this many strength sessions, all parts of the body are expected. Ours. */
const from = 3

/** A part of the body that no strength session of the term works. */
export const pushPullLegsCore: TermRule = {
  id: 'push-pull-legs-core',
  level: 'note',
  find: ({ days }) => {
    const strong = days.filter((d) => d.session.strength)
    if (strong.length < from) return []
    const worked = new Set(strong.flatMap((d) => d.session.parts))
    return ['push', 'pull', 'legs', 'core'].filter((part) => !worked.has(part)).map((part) => ({ part }))
  },
}
