import type { Content } from 'pdfmake/interfaces.js'
import type { Language, Library, Session } from '@esfuerzo/core'
import { findingText, levels, type Finding } from '@esfuerzo/core/checks'
import { pulsePart } from './pulsePart.ts'
import { sheetWords } from './words.ts'

/** One finding: what, for whom, why; and why it was ignored. */
function line({ groups, answered, ...finding }: Finding, session: Session, language: Language): Content {
  const { what, why } = findingText(finding, language)
  const some = groups.length > 0 && groups.length < session.groups.length
  const letters = session.groups.filter((g) => groups.includes(g.id)).map((g) => g.letter)
  const words = sheetWords[language]
  return {
    stack: [
      { text: [{ text: some ? `${letters.join(', ')} · ` : '', bold: true }, what] },
      { text: why, fontSize: 9, color: '#3A4846' },
      ...(answered === undefined ? [] : [{ text: words.left(answered), fontSize: 9 }]),
    ],
    margin: [0, 4, 0, 4],
  }
}

/** The checks of a session and each lane's predicted pulse on paper, for the teacher alone. */
export function lookSheet(
  session: Session,
  findings: readonly Finding[],
  language: Language,
  library: Library,
): Content[] {
  const words = sheetWords[language]
  return [
    { text: session.title, style: 'title' },
    { text: words.look, style: 'lead' },
    ...levels.flatMap((level): Content[] => {
      const own = findings.filter((f) => f.level === level)
      if (!own.length) return []
      return [{ text: words.levels[level], style: 'h2' }, ...own.map((f) => line(f, session, language))]
    }),
    ...(findings.length ? [] : [words.nothingToSay]),
    ...pulsePart(session, library, language),
    { text: words.schoolFirst, fontSize: 9, color: '#3A4846', margin: [0, 12, 0, 0] },
  ]
}
