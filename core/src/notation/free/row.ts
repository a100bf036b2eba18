import type { Dose } from '../../terms/dose.ts'
import type { Library } from '../../library/library.ts'
import type { English } from '../../terms/country.ts'
import { limits } from '../../base/limits.ts'
import { tokensOf, type Token, type TokenOf } from './tokens.ts'
import { understandName, type Readings, type Understood } from './understandName.ts'
import { fillerWords, restWords } from './words.en.ts'
import { plainName } from '../names.ts'

/** What stands in a row as it was written: a move, how much of it, what else is said. */
export interface FreeRow {
  /** The words in the move's place. */
  name: string
  /** Where they begin in their line, from 0. */
  at: number
  understood: Understood
  /** What the child may do instead. */
  or: Understood[]
  dose?: Dose
  /** Of single groups, by their grades. */
  doses?: { grades: number[]; dose: Dose }[]
  sets?: number
  /** Written `x 3`, and nothing else: reps, until something says what of. */
  times?: number
  /** Seconds of rest behind it. */
  rest?: number
  eachSide: boolean
  note: string[]
  easier?: string
  harder?: string
  /** What calls it: a side of a coin, a suit, a colour, an odd minute. */
  label?: string
  /** The letter of a pair that alternates. */
  pair?: string
  /** The line it stands in, from 0. */
  line?: number
}

/** What is needed to read a row. */
export interface RowReader {
  library: Library
  readings: Readings
  /** Whose words they are, where one word means two things. */
  english: English | undefined
}

const sides =
  /\b(?:on )?(?:each|per|both|every|ea\.?) ?(?:side|leg|arm|foot|hand|way|direction)s?\b|\bea\.?(?=\s|$|\))|\be\.?s\.?(?=\s|$)|\beach(?=\s*(?:$|[,;)]))|\b(?:left and right|right and left|l ?\/ ?r|r ?\/ ?l|both sides|both legs)\b/giu
const openDose =
  /\b(?:as (?:many|long|far|much) as (?:you can|possible)|max(?:imum)?(?: reps)?|amrap|until (?:you are |your )?tired)\b/iu

/** An amount as it is written, where it is one by itself. */
export function amountOf(token: Token, measures?: readonly string[]): Dose | undefined {
  const within = (n: number) => Math.min(limits.seconds, Math.max(1, Math.round(n)))
  if (token.kind === 'time') {
    // "200m run" is metres, "3m jog" minutes.
    if (token.m !== undefined && (token.m >= 10 || (measures?.[0] === 'metres' && token.m > 3)))
      return { unit: 'metres', amount: within(token.m) }
    return {
      unit: 'seconds',
      amount: token.to ? { from: within(token.seconds), to: within(token.to) } : within(token.seconds),
    }
  }
  if (token.kind === 'metres') return { unit: 'metres', amount: within(token.metres) }
  if (token.kind === 'breaths') return { unit: 'breaths', amount: within(token.n) }
  if (token.kind === 'pair' && token.colon) return { unit: 'seconds', amount: within(token.work * 60 + token.rest) }
  if (token.kind === 'number' && token.n >= 1) {
    if (token.to) return { unit: 'reps', amount: { from: within(token.n), to: within(token.to) } }
    return { unit: 'reps', amount: token.atLeast ? { atLeast: within(token.n) } : within(token.n) }
  }
  return undefined
}

const isRest = (words: string): boolean => {
  const plain = ` ${plainName(words)} `
  return restWords.some((word) => word.length > 1 && plain.includes(` ${word} `))
}

/**
 * Reads what stands for one move: its name, how much, and what else is said of it. Nothing is left out: what is no name and no
 * amount is its note.
 *
 * @param at where the text begins in its line
 * @returns undefined where there is no name
 */
export function readRow(text: string, at: number, reader: RowReader): FreeRow | undefined {
  const note: string[] = []
  let eachSide = false
  // Brackets say something about the row; an amount in them is the row's where it has none.
  const inBrackets: string[] = []
  let open = text.replace(/\(([^()]*)\)?/g, (all, inside: string) => {
    if (inside.trim()) inBrackets.push(inside.trim())
    return ' '.repeat(all.length)
  })
  open = open.replace(sides, (all) => {
    eachSide = true
    return ' '.repeat(all.length)
  })
  let dose: Dose | undefined
  if (openDose.test(open)) {
    const long = /long/i.test(openDose.exec(open)![0])
    dose = long ? { unit: 'seconds', amount: { most: 60 } } : { unit: 'reps', amount: { most: 30 } }
    open = open.replace(openDose, (all) => ' '.repeat(all.length))
  }
  const tokens = tokensOf(open)
  const amounts = tokens.filter((t) => t.kind !== 'word' && t.kind !== 'mark')
  const pieces = piecesOf(open, tokens)
  const named = pieces.map((piece) => ({
    piece,
    understood: understandName(piece.text, reader.library, reader.readings, reader.english),
  }))
  // A move stands at the beginning; a name further on is only what it may be.
  const best = named.find(({ piece, understood }) => understood.named !== undefined || !isFiller(piece.text))
  const later = named.find(({ understood }) => understood.named)
  if (best && later && !best.understood.named)
    best.understood = { ...best.understood, nearest: () => [later.understood.named!] }
  if (!best) return undefined
  const lead = leadOf(best.piece.text)
  const row: FreeRow = {
    name: best.piece.text.slice(lead),
    at: at + best.piece.at + lead,
    understood: best.understood,
    or: [],
    eachSide,
    note,
  }
  takeAmounts(row, amounts, open, best.understood.named?.move.measures, dose)
  for (const { piece } of named) {
    if (piece === best.piece || isFiller(piece.text)) continue
    if (row.rest !== undefined && isRest(piece.text) && piece.text.split(' ').length < 3) continue
    note.push(piece.text)
  }
  if (best.understood.note) {
    note.unshift(best.understood.note)
    row.name = row.name.slice(0, row.name.length - best.understood.note.length).trim() || row.name
  }
  for (const inside of inBrackets) takeBrackets(row, inside)
  return row
}

/** What is said in brackets: how much, for which sides, else a note. */
function takeBrackets(row: FreeRow, inside: string): void {
  const tokens = tokensOf(inside)
  const [first] = tokens
  const amount = first && amountOf(first)
  // "3 times (about 1 min each)": so often, for so long.
  const times = tokens.filter((t) => t.kind === 'time' || (t.kind === 'pair' && t.colon))
  if (row.times !== undefined && times.length === 1 && row.dose?.unit === 'reps') {
    row.sets = row.times
    row.dose = amountOf(times[0]!)!
    row.note.push(inside)
    return
  }
  const lone = row.dose?.unit === 'reps' && row.dose.amount === 1 && amount?.unit === 'seconds'
  if (lone) row.note.push('1')
  if (amount && (!row.dose || lone) && isFiller(inside.slice(first.end).replace(sides, ' '))) {
    row.dose = amount
    row.eachSide ||= sides.test(inside)
    sides.lastIndex = 0
    return
  }
  if (amount && isRest(inside) && row.rest === undefined && first.kind === 'time') {
    row.rest = first.seconds
    return
  }
  row.note.push(inside)
}

/** What is known where the amounts of a row are read. */
interface Amounts {
  row: FreeRow
  list: readonly Token[]
  text: string
  measures: readonly string[] | undefined
  takesReps: boolean
  /** An amount with a unit is among them. */
  unit: boolean
}

/** Sets, dose and rest out of the amounts of a row. */
function takeAmounts(
  row: FreeRow,
  list: readonly Token[],
  text: string,
  measures: readonly string[] | undefined,
  said: Dose | undefined,
): void {
  const unit = list.some((t) => t.kind === 'time' || t.kind === 'breaths' || t.kind === 'metres')
  const amounts: Amounts = { row, list, text, measures, takesReps: !measures || measures.includes('reps'), unit }
  let dose = said
  list.forEach((token, i) => {
    if (token.kind === 'times') dose = takeTimes(amounts, token, i, dose)
    else if (token.kind === 'number' && isOfName(amounts, token, i, dose)) row.note.push(withItsWord(token, text))
    else if (token.kind === 'time' && isRestBeside(token, text)) row.rest = token.seconds
    else dose = betterDose(dose, amountIn(amounts, token))
  })
  if (row.sets !== undefined && (row.sets < 1 || row.sets > limits.laps)) delete row.sets
  if (dose) row.dose = dose
}

/** "Warrior 1, 3 breaths": a bare number beside an amount with a unit is part of the name. */
function isOfName({ list, text, unit }: Amounts, token: Token, i: number, dose: Dose | undefined): boolean {
  const multiplied = i > 0 && list[i - 1]!.kind === 'times'
  return unit && !multiplied && !dose && !/rep/i.test(text.slice(token.end - 4, token.end))
}
const withItsWord = (token: Token, text: string): string =>
  text.slice(token.at, token.end + 1 + /^ ?\p{L}*/u.exec(text.slice(token.end + 1))![0].length).trim()

/** A factor: sets of the amount beside it, else reps. @returns the dose as it is then */
function takeTimes(
  { row, list, takesReps }: Amounts,
  token: TokenOf<'times'>,
  i: number,
  dose: Dose | undefined,
): Dose | undefined {
  if (token.n < 1) return dose
  const next = list[i + 1]
  const multiplies = token.ahead && next !== undefined && next.kind !== 'times' && next.at - token.end <= 1
  if (multiplies || dose || list.some((t, k) => k !== i && amountOf(t))) {
    row.sets = token.n
    return dose
  }
  if (!token.ahead) row.times = token.n
  return { unit: takesReps ? 'reps' : 'seconds', amount: token.n }
}

const isRestBeside = (token: Token, text: string): boolean =>
  isRest(/^\W*(\w+)/.exec(text.slice(token.end, token.end + 18))?.[1] ?? '') ||
  /\brest\W*$/i.test(text.slice(Math.max(0, token.at - 12), token.at))

/** A hold takes no reps: the number is its seconds. */
function amountIn({ measures, takesReps }: Amounts, token: Token): Dose | undefined {
  const amount = amountOf(token, measures)
  return amount?.unit === 'reps' && !takesReps ? { ...amount, unit: measures![0] as Dose['unit'] } : amount
}

/** The first amount stands; only "as many as you can" gives way to the time for it. */
function betterDose(dose: Dose | undefined, amount: Dose | undefined): Dose | undefined {
  const open = dose?.unit === 'reps' && typeof dose.amount === 'object' && 'most' in dose.amount
  return open && amount?.unit === 'seconds' ? amount : (dose ?? amount)
}

/** How much of a name is only what leads to it: "of gentle stretching". */
function leadOf(text: string): number {
  const words = [...text.matchAll(/[\p{L}\p{N}]+(?:['’][\p{L}]+)*/gu)]
  const first = words.findIndex((w) => !leads.has(plainName(w[0])))
  return first > 0 ? words[first]!.index : 0
}
const leads = new Set('of the a an some'.split(' '))

interface Piece {
  text: string
  at: number
}
const isFiller = (text: string): boolean =>
  plainName(text)
    .split(' ')
    .every((w) => w === '' || fillerWords.has(w) || w === 'rep' || w === 'hold' || w === 'rest')

/** The words between amounts and marks, with hyphens and apostrophes that join a name. */
function piecesOf(text: string, tokens: readonly Token[]): Piece[] {
  const pieces: Piece[] = []
  let from: number | undefined
  let end = 0
  const close = () => {
    if (from !== undefined) pieces.push({ text: text.slice(from, end).trim(), at: from })
    from = undefined
  }
  for (const [i, token] of tokens.entries()) {
    const joins =
      token.kind === 'word' ||
      (token.kind === 'number' &&
        i > 0 &&
        tokens[i - 1]!.kind === 'word' &&
        /^(?:one|two|three)/i.test(text.slice(token.at))) ||
      (token.kind === 'number' &&
        /^(?:one|two|three|four)$/i.test(text.slice(token.at, token.end)) &&
        tokens[i + 1]?.kind === 'word') ||
      (token.kind === 'mark' &&
        /['’&/-]/.test(token.mark) &&
        from !== undefined &&
        tokens[i + 1]?.kind === 'word' &&
        (token.mark === '&' || (token.at === end && tokens[i + 1]!.at === token.end)))
    if (joins) {
      from ??= token.at
      end = token.end
    } else close()
  }
  close()
  return pieces.filter((p) => p.text)
}
