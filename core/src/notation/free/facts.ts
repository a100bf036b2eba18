import type { Dose } from '../../terms/dose.ts'
import { limits } from '../../base/limits.ts'
import { amountOf } from './row.ts'
import { tokensOf, type Token, type TokenOf } from './tokens.ts'
import { againWords, fillerWords, restWords, roundWords, stationWords, workWords } from './words.en.ts'

/** How a stretch of work goes on, by a word for it. */
export type Pattern = 'tabata' | 'emom' | 'amrap' | 'ladder' | 'coin' | 'dice' | 'cards' | 'circuit' | 'relay'

/** What a text says about rows, and not which. Times in seconds. */
export interface Facts {
  pattern?: Pattern
  work?: number
  rest?: number
  /** It was said that it stands between rows. */
  restStations?: true
  restRounds?: number
  rounds?: number
  /** So many stretches of work in all: `12 x 30/30`, `20:10 x 8`. */
  intervals?: number
  /** For every row that has none of its own. */
  each?: Dose
  eachSide?: boolean
  /** How long all of it takes. */
  total?: number
  rungs?: number[]
  /** The child chooses so many. */
  pick?: number
  draws?: number
}

const patterns: readonly [RegExp, Pattern][] = [
  [/\btabata\b/i, 'tabata'],
  [/\bemom\b|\bevery minute(?: on the minute)?\b|\bon the minute\b/i, 'emom'],
  [/\bamrap\b|\bas many rounds as\b/i, 'amrap'],
  [/\bpyramid\b|\bladder\b/i, 'ladder'],
  [/\bcoin\b|\bflip\b/i, 'coin'],
  [/\bdice\b|\broll a? ?die\b/i, 'dice'],
  [/\bdeck of cards\b|\bpack of cards\b|\bcards?\b/i, 'cards'],
  [/\bcircuit\b/i, 'circuit'],
  [/\brelay\b/i, 'relay'],
]
const anyPattern = new RegExp(patterns.map(([p]) => p.source).join('|'), 'i')
const known = new Set([
  ...fillerWords,
  ...[workWords, restWords, roundWords, stationWords, againWords].flatMap((list) => list.flatMap((w) => w.split(' '))),
  ...'between after each every minute min second sec interval hold needed need possible many as you can style complete through thru same amrap emom tabata pyramid ladder coin flip dice roll card deck pack relay rep repetition number until keep going colour work level side leg arm both way get your back breath so how much long far when finished done if per total timed time about pose pick choose count odd even sets rft kit twice thrice then alternate alternating'.split(
    ' ',
  ),
])

/** What the words beside a time make of it. */
function wordsBeside(tokens: readonly Token[], i: number): { before: string[]; after: string[] } {
  const stop = (t: Token) => t.kind !== 'word' && !(t.kind === 'mark' && /['’&-]/.test(t.mark))
  const before: string[] = []
  for (let k = i - 1; k >= 0 && before.length < 4; k--) {
    const t = tokens[k]!
    if (t.kind === 'mark' && /[:=(]/.test(t.mark) && before.length === 0) continue
    if (stop(t)) break
    if (t.kind === 'word') before.unshift(t.word)
  }
  const after: string[] = []
  for (let k = i + 1; k < tokens.length && after.length < 7; k++) {
    const t = tokens[k]!
    if (stop(t)) break
    if (t.kind === 'word') after.push(t.word)
  }
  return { before, after }
}
const holds = (words: readonly string[], list: readonly string[]): boolean => {
  const text = ` ${words.join(' ')} `
  return list.some((w) => text.includes(` ${w} `))
}

/** A time of rest: between rounds where that is said, else between rows, the second one between rounds. */
function takeRest(facts: Facts, seconds: number, after: readonly string[]): void {
  const between = after.findIndex((w) => ['between', 'after', 'each', 'every', 'per'].includes(w))
  const what = between < 0 ? [] : after.slice(between)
  const ofStations = holds(
    what,
    stationWords.filter((w) => w !== 'each'),
  )
  if (holds(what, roundWords) && !ofStations && facts.restRounds === undefined) facts.restRounds = seconds
  else if (facts.rest === undefined) {
    facts.rest = seconds
    if (between >= 0) facts.restStations = true
  } else facts.restRounds ??= seconds
}

const isRestTime = (before: readonly string[], near: readonly string[]): boolean =>
  holds(near.slice(0, 1), [...restWords, 'between']) ||
  holds(before.slice(-2), restWords) ||
  (holds(near, restWords) && !holds(near.slice(0, 1), workWords))

function takeTime(facts: Facts, token: TokenOf<'time'>, tokens: readonly Token[], i: number, inHeading: boolean): void {
  const { before, after } = wordsBeside(tokens, i)
  const { seconds } = token
  const near = after.slice(0, 6)
  if (isRestTime(before, near)) {
    takeRest(facts, seconds, after)
    return
  }
  const eachOne =
    holds(near.slice(0, 2), workWords) ||
    holds(before.slice(-2), ['hold', 'each', 'every', 'work']) ||
    (seconds < 120 && before.at(-1) === 'for')
  if (!eachOne && (inHeading || seconds >= 120)) {
    facts.total ??= seconds
    return
  }
  facts.work ??= seconds
  facts.each ??= amountOf(token)!
  if (after[0] === 'each' && ['side', 'leg', 'arm', 'way'].includes(after[1] ?? '')) facts.eachSide = true
}

/** Work and rest, or minutes and seconds: two numbers with a colon are a pair only beside a factor, or for a tabata. */
function takePair(facts: Facts, token: TokenOf<'pair'>, tokens: readonly Token[], i: number, inHeading: boolean): void {
  const times = [tokens[i + 1], tokens[i - 1]].find((t) => t?.kind === 'times')
  if (token.work < 1 || (token.colon && facts.pattern !== 'tabata' && !times)) {
    const seconds = token.work * 60 + token.rest
    if (seconds > 0) takeTime(facts, { ...token, kind: 'time', seconds }, tokens, i, inHeading)
    return
  }
  facts.work ??= token.work
  facts.rest ??= token.rest
  if (times?.kind !== 'times') return
  const rounds = holds(wordsBeside(tokens, tokens.indexOf(times)).after.slice(0, 1), roundWords)
  if (!rounds) facts.intervals = times.n
}

function takeNumber(
  facts: Facts,
  token: TokenOf<'number'>,
  tokens: readonly Token[],
  i: number,
  text: string,
  inHeading: boolean,
): void {
  const { before, after } = wordsBeside(tokens, i)
  // "30 on, 15 off" are seconds.
  if (['on', 'off'].includes(after[0] ?? '') && token.n >= 5) {
    takeTime(facts, { ...token, kind: 'time', seconds: token.n }, tokens, i, inHeading)
    return
  }
  if (holds(before.slice(-2), ['choose', 'pick'])) facts.pick = token.n
  else if (
    holds(
      after.slice(0, 1),
      againWords.filter((w) => !['over', 'turn'].includes(w)),
    ) &&
    !/^\s*reps?\b/i.test(text.slice(token.end))
  )
    facts.rounds ??= token.n
  else if (['flip', 'draw', 'card', 'throw', 'roll', 'toss'].includes(after[0] ?? '')) facts.draws = token.n
  // "8 stations" counts the rows, which can be counted.
  else if (
    holds(after.slice(0, 1), ['station', 'exercise', 'move', 'activity', 'pose', 'star', 'minute', 'player', 'people'])
  )
    return
  else facts.each ??= amountOf(token)
}

/** Puts what one amount says to the rest. */
function takeAmount(
  facts: Facts,
  token: Token,
  tokens: readonly Token[],
  i: number,
  text: string,
  inHeading: boolean,
): void {
  if (token.kind === 'time') {
    if (token.seconds >= 1) takeTime(facts, token, tokens, i, inHeading)
  } else if (token.kind === 'pair') takePair(facts, token, tokens, i, inHeading)
  else if (token.kind === 'rungs') facts.rungs = token.rungs
  else if (token.kind === 'times') {
    if (facts.intervals !== token.n || facts.rounds !== undefined) facts.rounds ??= token.n
  } else if (token.kind === 'number') takeNumber(facts, token, tokens, i, text, inHeading)
  else facts.each ??= amountOf(token)!
}

/** Without counts that no session has. */
function withinLimits(facts: Facts): Facts {
  for (const key of ['rounds', 'intervals'] as const)
    if (facts[key] !== undefined && (facts[key] < 1 || facts[key] > limits.laps)) delete facts[key]
  if (facts.intervals !== undefined && facts.rounds === facts.intervals) delete facts.rounds
  if (facts.each === undefined) delete facts.each
  return facts
}

/**
 * What a piece of text says about rows.
 *
 * @param inHeading a time by itself is how long all of it takes
 * @returns the facts, the words that belong to none, and whether it says anything at all
 * @example readFacts('30 secs on 15 secs off x 2 rounds', false).facts // { work: 30, each: …, rest: 15, rounds: 2 }
 */
export function readFacts(text: string, inHeading: boolean): { facts: Facts; strange: string[]; any: boolean } {
  const facts: Facts = {}
  const pattern = anyPattern.test(text) ? patterns.find(([p]) => p.test(text)) : undefined
  if (pattern) facts.pattern = pattern[1]
  const tokens = tokensOf(text)
  let amounts = 0
  for (const [i, token] of tokens.entries()) {
    if (token.kind === 'word' || token.kind === 'mark') continue
    amounts++
    takeAmount(facts, token, tokens, i, text, inHeading)
  }
  const strange = tokens.flatMap((t) =>
    t.kind === 'word' && !known.has(t.word) && !/^\d+$/.test(t.word) ? [t.word] : [],
  )
  return { facts: withinLimits(facts), strange, any: amounts > 0 || pattern !== undefined }
}

/** Whether two texts say the same kind of thing: then the second begins something new. */
export const contradicts = (a: Facts, b: Facts): boolean =>
  (['pattern', 'work', 'rest', 'rounds', 'intervals', 'restRounds', 'rungs', 'total'] as const).some(
    (key) => a[key] !== undefined && b[key] !== undefined,
  )
