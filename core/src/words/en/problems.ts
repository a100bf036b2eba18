import type { Counted, Expected, Problem, ProblemCode, Received, Rule } from '../../base/problem.ts'
import type { ProblemWords } from '../problemWords.ts'

/** JSON types in everyday words. */
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
  moves: ['exercise of your own', 'exercises of your own'],
  pieces: ['saved part', 'saved parts'],
  sessions: ['session', 'sessions, including deleted ones'],
  states: ['named version of a session', 'named versions of a session'],
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
  ownId: 'an id that starts with own-',
  readings: 'at most 500 words of your own',
  oneOnly: 'there only once',
  httpsAddress: 'an https address',
  noOtherAddress: 'no web address except the link itself',
  lapsRising: 'laps in rising order, without repeats',
  gradesRising: 'grades in rising order',
  timeZone: 'a time zone such as "Atlantic/Azores"',
  oneOfItsVersions: 'the id of one of its versions',
  oneOfItsAnswers: 'one of the answers',
  moreThanFrom: 'more than "from"',
  notLessThanFrom: 'not less than "from"',
  amount: 'a whole number, { from, to }, { atLeast } or { most }',
  cleanText: 'text without control characters or broken emoji',
  noBrokenCharacters: 'text without broken characters',
  moment: 'a time from 1970 on',
  hash: 'a SHA-256 hash in hex',
  oneOrTwo: '1 or 2',
  blockWithStations: 'a block for exercises',
  orderIsTheTeachers: 'a block of three or more stations whose order can change',
  someMove: 'at least one exercise',
  thisSession: 'the session this link leads to',
  notBeforeItStarted: 'not before the start',
  roomForAnotherLink: 'room for another link; delete sessions you no longer need',
  linkToken: 'a link’s token',
  markOfAPage: 'a page marker',
  messageFile: 'a message’s file',
  lanesWithCommas: 'ids of lanes, separated by commas',
  pupilsWithCommas: 'ids of pupils, separated by commas',
  someSign: 'at least one character',
  aliasOnce: 'an alias that no other pupil in the class has',
  children: '1 to 100,000',
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
  const inLane = lane === undefined ? '' : ` for ${lane} (use fewer rounds, rungs, calls or stations)`
  return `${room}${inLane}${unread ? '; the rest was not read' : ''}`
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

/** The sentence of each problem, after its place. */
const sentences: Record<ProblemCode, (p: Problem) => string> = {
  'not-json': (p) => `not JSON: ${found(p.received) || 'unreadable'}`,
  'wrong-type': (p) => `should be ${want(p.expected, 'something else')}${got(p)}`,
  'unknown-key': (p) => `"${found(p.received)}" is not a known field; check the spelling or remove it`,
  'not-a-choice': (p) => `should be one of ${want(p.expected, 'the known choices')}${got(p)}`,
  'too-small': (p) => `should be ${want(p.expected, 'more')}${got(p)}`,
  'too-large': (p) => `should be ${want(p.expected, 'less')}${got(p)}`,
  'bad-text': () => 'contains control characters or a broken emoji; type the text again',
  'bad-format': (p) => `should be ${want(p.expected, 'written differently')}${got(p)}`,
  'newer-version': (p) =>
    `was made by a newer Esfuerzo (${found(p.received)}); this version reads ${want(p.expected, 'earlier versions')}`,
  'unknown-group': (p) => `there is no group "${found(p.received)}"${near(p) ? `; the groups are ${near(p)}` : ''}`,
  'unknown-move': (p) => `there is no exercise "${found(p.received)}" in the library`,
  'impossible-angle': (p) =>
    `${found(p.received)} is more than a joint can bend; it was changed to ${want(p.expected, 'its limit')}`,
  'unknown-version': (p) => `there is no version "${found(p.received)}"${near(p) ? `; there are ${near(p)}` : ''}`,
  'duplicate-id': (p) => `"${found(p.received)}" is used twice; change one of them`,
  'too-many': (p) => `${want(p.expected, 'fewer')}, found ${found(p.received) || 'more'}`,
  'too-big': (p) =>
    `is too large: ${want(p.expected, 'make it smaller')}${got(p)}; use fewer groups, rounds or stations`,
  'not-found': (p) =>
    p.received === undefined
      ? `needs ${want(p.expected, 'something')}, but there is none`
      : `"${found(p.received)}" no longer exists`,
  unread: (p) => `can't understand "${found(p.received)}"${near(p) ? `; did you mean ${near(p)}?` : ''}`,
  'file-kind': (p) =>
    `Esfuerzo can't open ${found(p.received)} files. Save the plan as ${near(p) ?? 'a text'}, then drop that file here`,
  'file-picture': () => 'Esfuerzo can’t read pictures. Copy the text from the picture with your phone and paste it',
  'file-locked': () => 'the file has a password. Save it without one, then drop that file here',
  'file-broken': () => 'the file is damaged. Save it again, or copy its text and paste it',
  'file-empty': (p) =>
    p.received
      ? `the file has no text, only ${found(p.received)}. Copy the text from the pictures with your phone and paste it`
      : 'the file has no text',
  'file-too-big': (p) =>
    `the file is too large: ${want(p.expected, 'make it smaller')}${got(p)}. Import one session at a time`,
  'file-slow': () => 'the file took too long to read. Copy its text and paste it',
  invalid: (p) => (p.expected ? `should be ${want(p.expected, '')}${got(p)}` : 'is not valid'),
}

export const problemsInEnglish: ProblemWords = {
  sentence: (problem) => sentences[problem.code](problem),
  line: (line, column) => `line ${line}, column ${column}`,
  whole: '(the whole document)',
}
