import { rules } from '../src/checks/registry.ts'
import { ruleFamilies } from '../src/checks/rule.ts'
import { limits } from '../src/checks/limits.ts'
import { checksInEnglish } from '../src/words/en/checks.ts'

/** docs/checks.md, made from the registry and the table of limits. */
export function checksPage(): string {
  const families = ruleFamilies.flatMap((family) => [
    `### ${family}`,
    '',
    '| rule | level | why |',
    '|---|---|---|',
    ...rules
      .filter((rule) => rule.family === family)
      .map(({ id, level }) => `| \`${id}\` | ${level} | ${checksInEnglish[id].why} |`),
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
    'stand in `core/src/words/<language>/checks.ts`.',
    '',
    '## Rules',
    '',
    ...families,
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
