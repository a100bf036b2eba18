import { readFileSync } from 'node:fs'

/** A concept and its words: on the screens in both languages, and in code. */
export interface Term {
  concept: string
  en: string
  es: string
  code: string
}

/** All terms, as `docs/glossary.json` lists them. */
export const glossary = JSON.parse(
  readFileSync(new URL('../../docs/glossary.json', import.meta.url), 'utf8'),
) as readonly Term[]

/** The page docs/glossary.md as Markdown. */
export const glossaryPage = (): string =>
  [
    '# Glossary',
    '',
    'One word for each thing, on every screen, in the docs and in code. `npm run glossary` makes this page from `docs/glossary.json`.',
    '',
    '| what it is | English | Spanish | in code |',
    '|---|---|---|---|',
    ...glossary.map(({ concept, en, es, code }) => `| ${concept} | ${en} | ${es} | \`${code}\` |`),
    '',
  ].join('\n')
