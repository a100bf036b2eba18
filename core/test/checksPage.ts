import { rules } from '../src/checks/registry.ts'
import { ruleFamilies } from '../src/checks/rule.ts'
import { indexLibrary } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { checkSession } from '../src/checks/checkSession.ts'
import type { FixMaker } from '../src/checks/fixes/fix.ts'
import { makersFor } from '../src/checks/fixes/makersFor.ts'
import type { RuleId } from '../src/checks/rule.ts'
import { limits } from '../src/checks/limits.ts'
import { termRules } from '../src/term/termRules.ts'
import { checksInEnglish } from '../src/words/en/checks.ts'
import { termChecksInEnglish } from '../src/words/en/termChecks.ts'
import { shelf } from './shelf.ts'
import { alarms } from './support/alarms.ts'

const library = indexLibrary(libraryData)

/** docs/checks.md, made from the registry and the table of limits. */
export function checksPage(): string {
  const heard = alarms(shelf(library).map(({ session }) => checkSession(session, library)))
  const families = ruleFamilies.flatMap((family) => [
    `### ${family}`,
    '',
    '| rule | level | heard on the shelf | offers | why |',
    '|---|---|---|---|---|',
    ...rules
      .filter((rule) => rule.family === family)
      .map(({ id, level }) => {
        const offers = (makersFor as Partial<Record<RuleId, readonly FixMaker[]>>)[id] ?? []
        const edits = offers.map((maker) => `\`${maker.id}\``).join(', ') || '–'
        return `| \`${id}\` | ${level} | ${heard.rules[id] ?? 0} | ${edits} | ${checksInEnglish[id].why} |`
      }),
    '',
  ])
  const table = Object.entries(limits).map(([id, { value, unit, source }]) => {
    const numbers = value.map((n) => String(Math.round(n * 1000) / 1000))
    return `| \`${id}\` | ${numbers.join(' | ')} | ${unit} | ${source} |`
  })
  return [
    '# Checks',
    '',
    'What a thoughtful colleague would say to a session. `npm run checks` makes this page from `core/src/checks`.',
    '',
    'A **stop** is not to be sent so, a **look** is worth one, a *note* is worth knowing. Every rule is a file under `core/src/checks/rules`; it is',
    'given one view of the session, worked out once, and answers with findings that are data: where, for which groups, its numbers. Words',
    'stand in `core/src/words/<language>/checks.ts`. What a rule offers are edits (`core/src/checks/fixes`): each was tried before it is',
    'offered, takes the finding away and brings none as bad.',
    '',
    `On the shelf of ${heard.sessions} sessions a teacher would stand by (\`core/test/shelf\`, ours) there are ${heard.stops} stops, a look in ${heard.looks} sessions, and ${heard.medianNotes} notes`,
    'at the median. "Heard on the shelf" is in how many of them a rule speaks. The sessions are ours, and were written by those who wrote the rules.',
    '',
    '## Rules',
    '',
    ...families,
    '### a term',
    '',
    'Rules about a term, `core/src/term/rules`; the school says what they weigh as of the others.',
    '',
    '| rule | level | why |',
    '|---|---|---|',
    ...termRules.map(({ id, level }) => `| \`${id}\` | ${level} | ${termChecksInEnglish[id].why} |`),
    '',
    '## Limits',
    '',
    'By grade; each includes its end value.',
    '',
    '| limit | K–1 | 2–3 | 4–6 | of | source |',
    '|---|---|---|---|---|---|',
    ...table,
    '',
  ].join('\n')
}
