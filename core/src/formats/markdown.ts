import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { minutesText } from '../timing/minutesText.ts'
import { timeline } from '../timing/timeline.ts'
import { endOf } from '../cues/captions.ts'
import { print } from '../notation/print.ts'
import { fetchList } from '../home/fetchList.ts'
import type { Session } from '../session/schema.ts'

/** Text that Markdown would read as markup, or as HTML. */
const plain = (text: string) => text.replace(/([\\`*_{}[\]<>#|])/g, '\\$1')

/** A fence that no run of backticks in the text closes. */
const fence = (text: string) => '`'.repeat(Math.max(3, ...[...text.matchAll(/`+/g)].map(([run]) => run.length + 1)))

/**
 * A session as Markdown: its goal, its length for each group, the equipment, and the running order as whiteboard text, section by section.
 */
export function markdown(session: Session, ours: Library): string {
  const library = libraryFor(session, ours)
  const { aim } = session
  const lengths = session.groups.map(
    (group) =>
      `| ${group.letter} | ${plain(group.name)} | ${minutesText(endOf(timeline(session, group.id, library)))} |`,
  )
  const kit = fetchList(session, library).map(({ name, standIns, standIn }) =>
    plain(
      standIn
        ? `- ${standIn} (in place of: ${name})`
        : `- ${name}${standIns.length ? ` (or ${standIns.join(', ')})` : ''}`,
    ),
  )
  // The notation's own section marks are already second-level headings.
  const [, ...sections] = print(session, library).split(/^## /m)
  return [
    `# ${plain(session.title)}`,
    aim.target && `*${plain(aim.target)}*`,
    aim.words.map(({ word, meaning }) => `- **${plain(word)}**: ${plain(meaning)}`).join('\n'),
    ['| | Group | Length |', '|---|---|---|', ...lengths].join('\n'),
    kit.length > 0 && `## To fetch\n\n${kit.join('\n')}`,
    ...sections.map((section) => {
      const [head = '', ...lines] = section.trimEnd().split('\n')
      const text = lines.join('\n').trim()
      return `## ${plain(head)}\n\n${fence(text)}\n${text}\n${fence(text)}`
    }),
  ]
    .filter(Boolean)
    .join('\n\n')
    .concat('\n')
}
