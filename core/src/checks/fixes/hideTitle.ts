import { setSection } from '../../session/edits/sections.ts'
import type { FixMaker } from './fix.ts'

/** The hidden part gets a title that reveals nothing. */
export const hideTitle: FixMaker = {
  id: 'hide-title',
  candidates: ({ view, finding, words }) =>
    finding.where.section
      ? [
          {
            facts: { words: words.surprise },
            session: setSection(view.session, finding.where.section, { title: words.surprise }),
          },
        ]
      : [],
}
