import type { Counted, Expected, Problem, ProblemCode, Received, Rule } from '../../base/problem.ts'
import type { ProblemWords } from '../problemWords.ts'

/** JSON's types as people call them. */
const types: Record<string, string> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'yes or no (true or false)',
  array: 'a list',
  object: 'an object with fields',
  record: 'an object with fields',
}

const nouns: Record<Counted, readonly [one: string, many: string]> = {
  characters: ['character', 'characters'],
  entries: ['entry', 'entries'],
  groups: ['group', 'groups'],
  sections: ['section', 'sections'],
  blocks: ['block', 'blocks'],
  stations: ['station', 'stations'],
  steps: ['step', 'steps'],
  lines: ['line', 'lines'],
  mistakes: ['mistake', 'mistakes'],
  KiB: ['KiB', 'KiB'],
  MiB: ['MiB', 'MiB'],
  moves: ['move of your own', 'moves of your own'],
  pieces: ['piece on the shelf', 'pieces on the shelf'],
  sessions: ['session', 'sessions, those in the bin too'],
  states: ['named state of a session', 'named states of a session'],
  classes: ['class', 'classes'],
  copies: ['copy at a time', 'copies at a time'],
  pupils: ['pupil', 'pupils'],
  terms: ['term', 'terms'],
  pages: ['page', 'pages'],
  pictures: ['picture', 'pictures'],
}
const counted = (n: number, noun?: Counted) => (noun === undefined ? String(n) : `${n} ${nouns[noun][n === 1 ? 0 : 1]}`)

const rules: Record<Rule, string> = {
  id: 'an id such as "s1"',
  ownId: 'an id that begins with own-',
  readings: 'at most 500 words of your own',
  oneOnly: 'there once only',
  httpsAddress: 'an https address',
  noOtherAddress: 'no web address but the link itself',
  lapsRising: 'laps in rising order, each once',
  gradesRising: 'grades in rising order',
  timeZone: 'a time zone such as "Atlantic/Azores"',
  oneOfItsVersions: 'the id of one of its versions',
  oneOfItsAnswers: 'one of the answers',
  moreThanFrom: 'more than "from"',
  notLessThanFrom: 'not less than "from"',
  amount: 'a whole number, { from, to }, { atLeast } or { most }',
  cleanText: 'text without control characters or broken emoji',
  noBrokenCharacters: 'text without broken characters',
  moment: 'a moment from 1970 on',
  hash: 'a SHA-256 in hex',
  oneOrTwo: '1 or 2',
  blockWithStations: 'a block that takes moves',
  orderIsTheTeachers: 'a block of three stations or more whose order is yours to choose',
  someMove: 'at least one move',
  thisSession: 'the session this link leads to',
  notBeforeItStarted: 'not before it started',
  roomForAnotherLink: 'room for another link; delete sessions that are no longer needed',
  linkToken: 'a link’s token',
  markOfAPage: 'the mark of a page',
  messageFile: 'a message’s file',
  lanesWithCommas: 'ids of lanes with commas between',
  pupilsWithCommas: 'ids of pupils with commas between',
  someSign: 'at least one sign',
  aliasOnce: 'an alias that nobody else in the class has',
  children: '1 to 100 000',
}

function want(expected: Expected | undefined, fallback: string): string {
  if (!expected) return fallback
  if ('type' in expected) return types[expected.type] ?? expected.type
  if ('rule' in expected) return rules[expected.rule]
  if ('oneOf' in expected) return expected.oneOf.join(', ') || fallback
  if ('version' in expected) return `version ${expected.version} or earlier`
  if ('value' in expected) return String(expected.value)
  if ('atLeast' in expected) return `at least ${counted(expected.atLeast, expected.of)}`
  const { atMost, of: noun, lane, unread } = expected
  const room = `at most ${counted(atMost, noun)}`
  const inLane = lane === undefined ? '' : ` for ${lane} (fewer rounds, rungs, calls or stations help)`
  return `${room}${inLane}${unread ? '; what comes after was not read' : ''}`
}

function found(received: Received | undefined): string {
  if (received === undefined) return ''
  if (typeof received === 'string') return received
  if ('count' in received)
    return received.of === 'entries' ? `a list of ${received.count}` : counted(received.count, received.of)
  return { nothing: 'nothing', object: 'an object', more: 'more' }[received.is]
}
const got = ({ received }: Problem) => (received === undefined ? '' : `, found ${found(received)}`)
const near = ({ expected }: Problem) =>
  expected && 'oneOf' in expected && expected.oneOf.length ? expected.oneOf.join(', ') : undefined

/** What each problem says, after its place. */
const sentences: Record<ProblemCode, (p: Problem) => string> = {
  'not-json': (p) => `this is not JSON: ${found(p.received) || 'it cannot be read'}`,
  'wrong-type': (p) => `should be ${want(p.expected, 'something else')}${got(p)}`,
  'unknown-key': (p) => `"${found(p.received)}" is not a field here; check the spelling or take it out`,
  'not-a-choice': (p) => `should be one of ${want(p.expected, 'the known choices')}${got(p)}`,
  'too-small': (p) => `should be ${want(p.expected, 'more')}${got(p)}`,
  'too-large': (p) => `should be ${want(p.expected, 'less')}${got(p)}`,
  'bad-text': () => 'has control characters or a broken emoji; type it again',
  'bad-format': (p) => `should be ${want(p.expected, 'written differently')}${got(p)}`,
  'newer-version': (p) =>
    `was made by a newer Esfuerzo (${found(p.received)}); this one reads ${want(p.expected, 'earlier versions')}`,
  'unknown-group': (p) => `there is no group "${found(p.received)}"${near(p) ? `; the groups are ${near(p)}` : ''}`,
  'unknown-move': (p) => `there is no move "${found(p.received)}" in the library`,
  'impossible-angle': (p) =>
    `${found(p.received)} is more than a body bends; it was set to ${want(p.expected, 'what it bends')}`,
  'unknown-version': (p) => `there is no version "${found(p.received)}"${near(p) ? `; there are ${near(p)}` : ''}`,
  'duplicate-id': (p) => `"${found(p.received)}" is used twice; give one of them another`,
  'too-many': (p) => `${want(p.expected, 'fewer')}, found ${found(p.received) || 'more'}`,
  'too-big': (p) =>
    `is too large: ${want(p.expected, 'make it smaller')}${got(p)}; fewer groups, rounds or stations help`,
  'not-found': (p) =>
    p.received === undefined
      ? `needs ${want(p.expected, 'something')}, and there is none`
      : `"${found(p.received)}" is not there any more`,
  unread: (p) => `nothing can be made of "${found(p.received)}"${near(p) ? `; did you mean ${near(p)}?` : ''}`,
  'file-kind': (p) =>
    `Esfuerzo cannot open ${found(p.received)} files. Save it as ${near(p) ?? 'a text'} there, and drop that here`,
  'file-picture': () => 'Esfuerzo cannot read pictures. Let the phone copy the text out of it and paste that',
  'file-locked': () => 'it has a password. Save it without one, and drop that here',
  'file-broken': () =>
    'it cannot be read: something in it is broken. Save it anew there, or copy its text and paste it',
  'file-empty': (p) =>
    p.received
      ? `there is no text in it, only ${found(p.received)}. Let the phone copy the text out of them and paste that`
      : 'there is no text in it',
  'file-too-big': (p) =>
    `it is too large: ${want(p.expected, 'make it smaller')}${got(p)}. Take what is one session out of it`,
  'file-slow': () => 'it took too long to read. Copy its text and paste that',
  invalid: (p) => (p.expected ? `should be ${want(p.expected, '')}${got(p)}` : 'is not right'),
}

export const problemsInEnglish: ProblemWords = {
  sentence: (problem) => sentences[problem.code](problem),
  line: (line, column) => `line ${line}, column ${column}`,
  whole: '(the whole document)',
}
