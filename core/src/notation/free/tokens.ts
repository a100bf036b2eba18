import { plainName } from '../names.ts'
import { numberWords } from './words.en.ts'

interface Place {
  /** Where it stands in the text, from 0. */
  at: number
  end: number
}

/** A piece of a line as it is written by hand: an amount, a word, a mark. */
export type Token = Place &
  (
    | {
        kind: 'time'
        seconds: number
        to?: number
        /** Written `m`: metres, where it is of a move that goes somewhere. */ m?: number
      }
    | { kind: 'metres'; metres: number }
    | { kind: 'breaths'; n: number }
    | { kind: 'number'; n: number; to?: number; atLeast?: true }
    /** `x2`, `twice`, `3 times`; `ahead` where the factor stands before what it multiplies: `3 x`. */
    | { kind: 'times'; n: number; ahead: boolean }
    /** Work and rest: `30/15`, `20:10`. */
    | { kind: 'pair'; work: number; rest: number; colon: boolean }
    /** `21-15-9`, `10-9-8…1`. */
    | { kind: 'rungs'; rungs: number[] }
    | { kind: 'word'; word: string }
    | { kind: 'mark'; mark: string }
  )
export type TokenOf<K extends Token['kind']> = Extract<Token, { kind: K }>

const seconds = String.raw`(?:s|secs?|seconds?|segs?|''|’’|["″”])(?:\.(?!\d))?(?![\p{L}\p{N}])`
const minutes = String.raw`(?:mins?|minutes?|minutos?)(?:\.(?!\d))?(?![\p{L}\p{N}])`
const prime = String.raw`['’′](?![\p{L}'’])`
const count = Object.keys(numberWords).join('|')
const n = String.raw`(?:\d{1,4}(?:[.,]\d{1,2})?|(?:${count})(?![\p{L}]))`
const dash = String.raw`(?:\s?-\s?|\sto\s)`

const value = (written: string): number => numberWords[written.toLowerCase()] ?? Number(written.replace(',', '.'))
const int = (written: string): number => Math.round(value(written))

type Rule = [
  pattern: RegExp,
  read: (m: RegExpExecArray) => ({ kind: Token['kind'] } & Record<string, unknown>) | undefined,
]
const rule = (source: string, read: Rule[1]): Rule => [new RegExp(source, 'iuy'), read]
const time = (from: number, to?: number) => {
  const whole = Math.round(from)
  return {
    kind: 'time',
    seconds: whole,
    ...(to !== undefined && Math.round(to) > whole && { to: Math.round(to) }),
  } as const
}
const halves: Record<string, number> = { '½': 0.5, '1/2': 0.5, '¼': 0.25, '1/4': 0.25, '¾': 0.75, '3/4': 0.75 }
const half = String.raw`½|¼|¾|1/2|1/4|3/4`

/** In this order: the first that fits is taken. */
const rules: Rule[] = [
  // 1'30'', 1'30, 1 min 30, 2m30s
  rule(
    String.raw`(\d{1,2}) ?(?:['’′]|${minutes}|m(?=\d)) ?([0-5]?\d)(?: ?(?:${seconds}|['’′]))?(?![\p{L}\p{N}])`,
    (m) => time(Number(m[1]) * 60 + Number(m[2])),
  ),
  // 1 1/2 min, 1½', ½ min, half a minute
  rule(String.raw`(?:(\d{1,2}) ?)?(${half}) ?(?:a |an )?(${minutes}|${prime}|${seconds})`, (m) =>
    time((Number(m[1] ?? 0) + halves[m[2]!]!) * (/^s|"|″|”|''|’’/i.test(m[3]!) ? 1 : 60)),
  ),
  rule(String.raw`half an? (?:${minutes})`, () => time(30)),
  rule(String.raw`(?:a )?couple (?:of )?(${minutes}|${seconds})`, (m) => time(/^s/i.test(m[1]!) ? 2 : 120)),
  rule(String.raw`an? (?:${minutes})`, () => time(60)),
  // 8 counts x 4: about half a second a count
  rule(String.raw`(\d{1,2}) ?(?:counts?|beats?)(?: ?[x×] ?(\d{1,2}))?(?![\p{L}\p{N}])`, (m) =>
    time(Math.max(1, (Number(m[1]) * Number(m[2] ?? 1)) / 2)),
  ),
  // 30s/15s, 30/30, 40 s / 20 s
  rule(String.raw`(\d{1,3}) ?(?:${seconds})? ?\/ ?(\d{1,3})(?: ?(?:${seconds}))?(?![\p{L}\p{N}/])`, (m) =>
    Number(m[1]) > 4 ? { kind: 'pair', work: Number(m[1]), rest: Number(m[2]), colon: false } : undefined,
  ),
  rule(String.raw`(\d{1,2}):([0-5]\d)(?!\d|:\d)`, (m) => ({
    kind: 'pair',
    work: Number(m[1]),
    rest: Number(m[2]),
    colon: true,
  })),
  rule(String.raw`:(\d{2})(?![\p{L}\p{N}])`, (m) => time(Number(m[1]))),
  // 21-15-9, 2-4-6-8-6-4-2, 10-9-8…1
  rule(
    String.raw`(\d{1,3})(?: ?[-,] ?\d{1,3}){2,}(?: ?(?:\.\.\.|…)-? ?(\d{1,3}))?(?![\p{L}\p{N}])|(\d{1,3})(?: ?- ?\d{1,3})+ ?(?:\.\.\.|…)-? ?(\d{1,3})(?![\p{L}\p{N}])`,
    (m) => {
      const rungs = rungsOf(m[0], m[2] ?? m[4])
      return rungs && { kind: 'rungs', rungs }
    },
  ),
  rule(String.raw`(${n})${dash}(${n}) ?(?:${minutes}|${prime})`, (m) => time(value(m[1]!) * 60, value(m[2]!) * 60)),
  rule(String.raw`(${n})(?: ?(?:${seconds}))?${dash}(${n}) ?-?(?:${seconds})`, (m) => time(value(m[1]!), value(m[2]!))),
  rule(String.raw`(${n}) ?-?(?:${minutes}|${prime})`, (m) => time(value(m[1]!) * 60)),
  rule(String.raw`(${n}) ?-?(?:${seconds})`, (m) => time(value(m[1]!))),
  rule(String.raw`(${n}) ?(?:hours?|hrs?|h)(?![\p{L}\p{N}])`, (m) => time(value(m[1]!) * 3600)),
  rule(String.raw`(\d{1,4}) ?(?:metres?|meters?|mts?)(?![\p{L}\p{N}])`, (m) => ({
    kind: 'metres',
    metres: Number(m[1]),
  })),
  rule(String.raw`(\d{1,4}) ?m(?![\p{L}\p{N}])`, (m) => ({ ...time(Number(m[1]) * 60), m: Number(m[1]) })),
  rule(String.raw`(${n}) (?:(?:big|deep|slow|long) )*breaths?(?![\p{L}])`, (m) => ({ kind: 'breaths', n: int(m[1]!) })),
  rule(String.raw`[x×✕] ?(\d{1,2})(?! ?[x×✕]?\d)(?![\p{L}]|\.\d)(?: times)?`, (m) => ({
    kind: 'times',
    n: Number(m[1]),
    ahead: false,
  })),
  rule(String.raw`(\d{1,3}) ?[x×✕](?![\p{L}])`, (m) => ({ kind: 'times', n: Number(m[1]), ahead: true })),
  rule(String.raw`(${n}) times(?![\p{L}])|(once|twice|thrice)(?![\p{L}])`, (m) => ({
    kind: 'times',
    n: m[1] ? int(m[1]) : { once: 1, twice: 2, thrice: 3 }[m[2]!.toLowerCase()]!,
    ahead: false,
  })),
  rule(String.raw`(\d{1,4})${dash}(\d{1,4})(?: ?(?:reps?|repetitions?))?(?![\p{L}\p{N}'’])`, (m) =>
    Number(m[2]) > Number(m[1]) ? { kind: 'number', n: Number(m[1]), to: Number(m[2]) } : undefined,
  ),
  rule(String.raw`(?:at least )?(\d{1,4}) ?\+(?! ?\d| ?[\p{L}])`, (m) => ({
    kind: 'number',
    n: Number(m[1]),
    atLeast: true,
  })),
  rule(String.raw`at least (\d{1,4})(?![\p{L}\p{N}])`, (m) => ({ kind: 'number', n: Number(m[1]), atLeast: true })),
  rule(String.raw`(\d{1,4})(?: ?(?:reps?|repetitions?)(?![\p{L}]))?(?![\p{L}\p{N}'’])`, (m) => ({
    kind: 'number',
    n: Number(m[1]),
  })),
  rule(String.raw`(?:${count})(?![\p{L}\p{N}'’-])`, (m) => ({ kind: 'number', n: int(m[0]) })),
  rule(String.raw`[\p{L}\p{N}]+(?:['’][\p{L}]+)*`, (m) => ({ kind: 'word', word: plainName(m[0]) })),
  rule(String.raw`[^\s]`, (m) => ({ kind: 'mark', mark: m[0] })),
]

/** `10-9-8…1` goes on as it began. */
function rungsOf(text: string, last: string | undefined): number[] | undefined {
  const written = text.match(/\d+/g)!.map(Number)
  if (last !== undefined) {
    const end = written.pop()!
    const step = written.at(-1)! - (written.at(-2) ?? written.at(-1)! + 1)
    if (step === 0) return undefined
    for (let i = written.at(-1)! + step; step > 0 ? i <= end : i >= end; i += step)
      if (written.push(i) > 60) return undefined
  }
  return written.length >= 3 && written.length <= 60 && written.every((r) => r >= 1 && r <= 120) ? written : undefined
}

/**
 * A line as amounts, words and marks, in the order in which they stand. Every visible character is in one of them.
 *
 * @example tokensOf("20'' plank").map((t) => t.kind) // ['time', 'word']
 */
export function tokensOf(text: string): readonly Token[] {
  const known = cache.get(text)
  if (known) return known
  if (cache.size > 1000) cache.clear()
  const tokens = cut(text)
  cache.set(text, tokens)
  return tokens
}

/** Pieces of a line are looked at for one thing after the other. */
const cache = new Map<string, readonly Token[]>()

function cut(text: string): Token[] {
  const tokens: Token[] = []
  let at = 0
  while (at < text.length) {
    if (/\s/.test(text[at]!)) {
      at++
      continue
    }
    const token = tokenAt(text, at)
    tokens.push(token)
    at = token.end
  }
  return tokens
}

const anyWord = /[\p{L}\p{N}]+(?:['’][\p{L}]+)*/uy
/** Words an amount may begin with. */
const ofAmounts = new Set([
  ...Object.keys(numberWords),
  'a',
  'an',
  'half',
  'couple',
  'once',
  'twice',
  'thrice',
  'at',
  'x',
])

function tokenAt(text: string, at: number): Token {
  // Most of a text is plain words: no rule but the last is for them.
  if (/\p{L}/u.test(text[at]!)) {
    anyWord.lastIndex = at
    const word = anyWord.exec(text)?.[0]
    if (word && !/^x\d/i.test(word) && !ofAmounts.has(word.toLowerCase()))
      return { kind: 'word', word: plainName(word), at, end: at + word.length }
  }
  for (const [pattern, read] of rules) {
    pattern.lastIndex = at
    const match = pattern.exec(text)
    const token = match && read(match)
    if (token) return { ...token, at, end: at + match[0].length } as Token
  }
  // A part of a character of two units.
  return { kind: 'mark', mark: text[at]!, at, end: at + 1 }
}
