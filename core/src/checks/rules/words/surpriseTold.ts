import type { Found, Rule } from '../../rule.ts'

const wordsOf = (text: string): string[] => text.toLowerCase().match(/\p{L}{5,}/gu) ?? []

/** A title or the target reveals what is hidden until it starts. */
export const surpriseTold: Rule = {
  id: 'surprise-told',
  level: 'note',
  family: 'words',
  find: ({ session }) =>
    session.sections.flatMap((section): Found[] => {
      if (!section.surprise) return []
      const others = session.sections.filter((s) => s.id !== section.id).map((s) => s.title)
      const told = new Set([session.title, session.aim.target, ...others].flatMap(wordsOf))
      const words = wordsOf(section.title).filter((word) => told.has(word))
      return words.length ? [{ where: { section: section.id }, groups: [], facts: { words: words.join(', ') } }] : []
    }),
}
