import { expect, it } from 'vitest'
import { i18n } from '../src/words/i18n.ts'
import { wordsEn } from '../src/words/words.en.ts'
import familyEn from '../src/family/locales/en.json'
import { createSentences } from '../src/shared/sentences.ts'

/** Nouns that are counted somewhere, one and many. */
const nouns: Record<string, string> = {
  minute: 'minutes',
  second: 'seconds',
  child: 'children',
  pupil: 'pupils',
  session: 'sessions',
  result: 'results',
  day: 'days',
  week: 'weeks',
  month: 'months',
  change: 'changes',
  row: 'rows',
  group: 'groups',
  exercise: 'exercises',
  tip: 'tips',
  value: 'values',
  question: 'questions',
  line: 'lines',
  lap: 'laps',
  round: 'rounds',
  station: 'stations',
  run: 'runs',
  link: 'links',
  file: 'files',
  test: 'tests',
  class: 'classes',
  lane: 'lanes',
  home: 'homes',
  throw: 'throws',
  point: 'points',
  rep: 'reps',
  level: 'levels',
  draft: 'drafts',
  code: 'codes',
  entry: 'entries',
  word: 'words',
  step: 'steps',
  family: 'families',
  item: 'items',
  place: 'places',
  version: 'versions',
  part: 'parts',
  breath: 'breaths',
  turn: 'turns',
  way: 'ways',
  time: 'times',
  try: 'tries',
}
const many = new RegExp(String.raw`(?<![\d.,–-])\b1 (?:${Object.values(nouns).join('|')})\b`)
const one = new RegExp(String.raw`\b(?:0|2|21) (?:${Object.keys(nouns).join('|')})\b`)

const keysOf = (value: object, path = ''): string[] =>
  Object.entries(value).flatMap(([key, inner]) =>
    typeof inner === 'string' ? [`${path}${key}`] : keysOf(inner as object, `${path}${key}.`),
  )
/** Said only of at least eight children (core/src/change/verdict.ts). */
const eightChildren = /^(?:book\.change\.(?:more|less|open|clear|inLesson)|pace\.spread): /
const messages = { ...wordsEn.messages, family: familyEn }

it.each([0, 1, 2, 21])('every message has the right number for %i', (n) => {
  i18n.global.mergeLocaleMessage('en', { family: familyEn })
  const text = (key: string) => {
    const raw = key.split('.').reduce<unknown>((at, part) => (at as Record<string, unknown>)[part], messages) as string
    const named = Object.fromEntries([...raw.matchAll(/\{(\w+)\}/g)].map(([, name]) => [name, n]))
    return i18n.global.t(key, named, n)
  }
  const said = keysOf(messages)
    .map((key) => `${key}: ${text(key)}`)
    .filter((s) => !eightChildren.test(s))
  expect(said.filter((s) => (n === 1 ? many : one).test(s))).toEqual([])
  // A number that nobody says in any message would test nothing.
  expect(
    said.filter((s) =>
      new RegExp(`\\b${n} (?:${(n === 1 ? Object.keys(nouns) : Object.values(nouns)).join('|')})\\b`).test(s),
    ).length,
  ).toBeGreaterThan(20)
})

it.each([0, 1, 2, 21])('every sentence of a family has the right number for %i', (n) => {
  const { t } = createSentences('en', familyEn)
  const said = keysOf(familyEn).map((key) => {
    const raw = key.split('.').reduce<unknown>((at, part) => (at as Record<string, unknown>)[part], familyEn) as string
    return `${key}: ${t(key, Object.fromEntries([...raw.matchAll(/\{(\w+)\}/g)].map(([, name]) => [name!, n])), n)}`
  })
  expect(said.filter((s) => (n === 1 ? many : one).test(s))).toEqual([])
  // No hole is left open, and no bar between two forms is shown.
  expect(said.filter((s) => /\{\w+\}| \| /.test(s))).toEqual([])
})
