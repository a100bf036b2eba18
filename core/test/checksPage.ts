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

/** What the levels are called on screens. */
const weights = { stop: 'fix', look: 'advice', note: 'tip' }

/** docs/checks.md, made from the registry and the table of limits. */
export function checksPage(): string {
  const heard = alarms(shelf(library).map(({ session }) => checkSession(session, library)))
  const families = ruleFamilies.flatMap((family) => [
    `### ${family}`,
    '',
    '| check | weight | sessions | fixes | why |',
    '|---|---|---|---|---|',
    ...rules
      .filter((rule) => rule.family === family)
      .map(({ id, level }) => {
        const offers = (makersFor as Partial<Record<RuleId, readonly FixMaker[]>>)[id] ?? []
        const edits = offers.map((maker) => `\`${maker.id}\``).join(', ') || '–'
        return `| \`${id}\` | ${weights[level]} | ${heard.rules[id] ?? 0} | ${edits} | ${checksInEnglish[id].why} |`
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
    'Things an experienced colleague would notice about a session. `npm run checks` makes this page from `core/src/checks`.',
    '',
    '- **Weight**: *fix* blocks sending home, *advice* deserves a look, a *tip* is good to know. Schools change weights in *Settings*.',
    '- A check is a file in `core/src/checks/rules`. It reads one view of the session and returns findings as data: place, groups, numbers.',
    '- Its words are in `core/src/words/<language>/checks.ts`.',
    '- Its fixes are edits (`core/src/checks/fixes`). A fix is offered only after it was tried: it removes the finding and adds none as bad.',
    '',
    `\`core/test/shelf\` has ${heard.sessions} good sessions, written by the authors of the checks. In them there are ${heard.stops} findings to fix, ${heard.looks} sessions`,
    `with advice, and a median of ${heard.medianNotes} tips. The column *sessions* counts the good sessions in which a check speaks.`,
    '',
    '## Checks of a session',
    '',
    ...families,
    '## Checks of a term',
    '',
    'They are in `core/src/term/rules`. Schools change their weights too.',
    '',
    '| check | weight | why |',
    '|---|---|---|',
    ...termRules.map(({ id, level }) => `| \`${id}\` | ${weights[level]} | ${termChecksInEnglish[id].why} |`),
    '',
    '## Limits',
    '',
    'By grade. Limits include their value.',
    '',
    '| limit | K–1 | 2–3 | 4–6 | unit | source |',
    '|---|---|---|---|---|---|',
    ...table,
    '',
  ].join('\n')
}
