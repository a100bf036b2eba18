import { existsSync, readFileSync, readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { fleschKincaid } from 'flesch-kincaid'
import { syllable } from 'syllable'
import { describe, expect, it } from 'vitest'
import { libraryData } from '@esfuerzo/library'
import { glossary, glossaryPage } from './glossaryPage.ts'

const root = fileURLToPath(new URL('../../', import.meta.url))
const read = (path: string) => readFileSync(root + path, 'utf8')
/** A file of that name in every folder of a folder that has one. */
const inEach = (folder: string, name: string) =>
  readdirSync(root + folder)
    .map((inner) => `${folder}/${inner}/${name}`)
    .filter((path) => existsSync(root + path))

const leaves = (value: unknown): string[] =>
  typeof value === 'string' ? value.split(' | ') : Object.values(value as object).flatMap(leaves)
const locale = (path: string) => leaves(JSON.parse(read(path)))
/** The sentences in a file of words: its strings, with `5` in place of what is put in. */
const wordsIn = (path: string): string[] => {
  // Files with two languages have English first.
  let text = read(path)
    .split(/\n(?: {2}es: \{|const es\b)/)[0]!
    .replaceAll(/^\s*(?:\/\/|\/?\*).*$/gm, '')
  for (let before = ''; before !== text;) {
    before = text
    text = text.replaceAll(/\$\{[^{}]*\}/g, '5')
  }
  return [...text.matchAll(/'((?:\\.|[^'\\\n])*)'|`((?:\\.|[^`\\])*)`/g)]
    .map(([, quoted, template]) => (quoted ?? template)!.replaceAll("\\'", '’'))
    .filter((s) => /[a-z] [a-z]/i.test(s))
}

const teacher = [
  ...locale('web/src/words/locales/en.json'),
  ...[
    'contract/src/errorWords.ts',
    'server/src/mail/letters.ts',
    'server/src/sheets/words.ts',
    ...inEach('web/src/forms', 'labels.en.ts'),
    ...['checks', 'fixes', 'problems', 'termChecks'].map((name) => `core/src/words/en/${name}.ts`),
  ].flatMap(wordsIn),
]
const family = [
  ...locale('web/src/family/locales/en.json'),
  ...locale('web/src/player/locales/en.json'),
  ...['core/src/words/en/say.ts', 'core/src/words/care.ts', ...inEach('core/src/forms', 'words.en.ts')].flatMap(
    wordsIn,
  ),
]
const moves = libraryData.moves as readonly {
  cues: string[]
  cautions: string[]
  faults: { see: string; say: string }[]
  versions: { how: string }[]
}[]
const cautions = moves.flatMap((m) => m.cautions)
const library = [
  ...cautions,
  ...moves.flatMap((m) => [
    ...m.cues,
    ...m.faults.flatMap((f) => [f.see, f.say]),
    ...m.versions.flatMap((v) => v.how ?? []),
  ]),
  ...leaves(libraryData.measures),
]
/** Docs without their code. */
const pages = readdirSync(`${root}docs`).filter((name) => name.endsWith('.md'))
const docs = ['README.md', 'CONTRIBUTING.md', ...pages.map((name) => `docs/${name}`)].flatMap((file) =>
  read(file)
    .replaceAll(/```[\s\S]*?```/g, '')
    .replaceAll(/`[^`\n]*`/g, 'code')
    .split(/\n(?=\n|[-|#]|\d+\. )| \| /)
    .map((s) => s.replaceAll(/^[\s|#*-]+/g, '').replaceAll(/\s+/g, ' ')),
)

/** What is put into a message counts as a word. */
const plain = (message: string) => message.replaceAll(/\{[^}]*\}|@[.\w]*:(?:\{[^}]*\}|[\w.]+)/g, 'x').trim()
const sentencesOf = (message: string): string[] =>
  plain(message)
    .split(/(?<=[.!?…:])\s+/)
    .filter((s) => /[a-z]/i.test(s))
const wordsOf = (text: string): string[] => plain(text).match(/[\p{L}\d][\p{L}\d’'.-]*/gu) ?? []

/** Words that sound like a translation, and words that were given up for others (docs/glossary.md). */
const forbidden =
  /\b(?:anew|thereby|lest|tak(?:e|es|en|ing) along|came back|hand(?:ed|ing)? out|worth a look|thuds?|wobble|try-out|storm shelf|for good|releases? apart|as it is(?! now))\b/i

describe('English', () => {
  it.each(Object.entries({ teacher, family, library, docs }))('has no forbidden word: %s', (_, texts) => {
    expect(texts.length).toBeGreaterThan(100)
    expect(texts.filter((text) => forbidden.test(text))).toEqual([])
  })

  it.each([
    ['teacher', teacher, 20],
    ['family', family, 20],
    ['library', library, 25],
    // Lists with semicolons, and what is in brackets, are not part of a sentence.
    ['docs', docs.flatMap((text) => text.replaceAll(/\([^()]*\)/g, '').split('; ')), 25],
  ] as const)('has short sentences: %s', (_, texts, most) => {
    expect(texts.flatMap(sentencesOf).filter((s) => wordsOf(s).length > most)).toEqual([])
  })

  it.each(Object.entries({ teacher, family, library }))(
    'starts only questions with Who, What or Where: %s',
    (_, texts) => {
      const starts = texts.flatMap(sentencesOf).filter((s) => /^(?:Who|What|Where)\b.*[.!…]$/.test(s))
      expect(starts).toEqual([])
    },
  )

  // Kincaid and others 1975, Derivation of new readability formulas for Navy enlisted personnel (from memory); goals ours.
  it.each([
    ['teacher', teacher, 9],
    ['family', family, 6],
  ] as const)('is easy to read: %s', (_, texts, grade) => {
    const trade = new Set(glossary.flatMap(({ en }) => en.toLowerCase().match(/[a-z]+/g) ?? []))
    const syllables = (word: string) => (trade.has(word.toLowerCase().replace(/s$/, '')) ? 1 : syllable(word) || 1)
    const grades = texts
      .filter((text) => wordsOf(text).length >= 8)
      .map((text) => {
        const words = wordsOf(text)
        const count = words.reduce((sum, word) => sum + syllables(word), 0)
        return fleschKincaid({ sentence: sentencesOf(text).length, word: words.length, syllable: count })
      })
      .toSorted((a, b) => a - b)
    expect(grades.length).toBeGreaterThan(30)
    expect(grades[Math.ceil(0.9 * grades.length) - 1]).toBeLessThanOrEqual(grade)
  })
})

it('the glossary page is made from its terms', () => {
  expect(read('docs/glossary.md')).toBe(glossaryPage())
  expect(new Set(glossary.map((term) => term.en)).size).toBe(glossary.length)
})
