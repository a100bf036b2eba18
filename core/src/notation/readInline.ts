import { notationOf } from './formNotations.ts'
import type { Library } from '../library/library.ts'
import { newBlock, type Block } from '../session/forms.ts'
import type { Dose } from '../terms/dose.ts'
import type { Group } from '../terms/group.ts'
import { limits } from '../base/limits.ts'
import type { PerGroup } from '../terms/perGroup.ts'
import type { Station } from '../session/station.ts'
import { readDose } from './dose.ts'
import { secondsOf, secondsPattern } from './facts.ts'
import { findName, nameIndex } from './names.ts'
import { plainMarks } from './plainMarks.ts'
import { hideQuoted, quotedIn, type Hidden } from './quoted.ts'
import { readFormLine } from './readForm.ts'
import { segments } from './segments.ts'
import type { TextProblem } from './textProblem.ts'

/** A block and its rows, all in one line. */
export interface InlineBlock {
  block: Block
  common?: PerGroup<Dose>
  rows: { text: string; at: number; word?: Pick<Station, 'face'> }[]
  problems: TextProblem[]
}

// Not before a pair of work and rest: `8x20/10` means timed laps.
const times = /^(\d{1,2})\s*x\s*(?!\d+\s*s?\s*\/)(?=\S)/i
/** After its exercise: `squat 3x10`. */
const timesBehind = /(?<=\s)(\d{1,2})\s*x\s*(?=\d)/i
const restWords = new RegExp(
  `^(?:with )?(?:a )?rest\\s*:?\\s*${secondsPattern}(?:\\s*between)?$|^${secondsPattern}\\s*rest$`,
  'i',
)

/** The first colon outside brackets and quotes; −1 if there is none. */
function colonAt(text: string): number {
  let depth = 0
  let quotes = false
  for (let i = 0; i < text.length; i++) {
    const c = text[i]
    if (c === '"') quotes = !quotes
    if (c === '[') depth++
    if (c === ']') depth--
    if (c === ':' && depth === 0 && !quotes && !/\d/.test(text[i + 1] ?? '')) return i
  }
  return -1
}

/** Which names make a line a block of rows: those of the library, also any in quotes, or any words. */
export type NamesTaken = 'known' | 'quoted' | 'any'

/** A line as typed, and the same line with its quoted names hidden. */
interface Line extends Hidden {
  raw: string
  library: Library
  names: NamesTaken
}

/** The rows in a stretch of a line, as typed. */
const rowsOf = (line: Line, from: number, to = line.text.length): InlineBlock['rows'] => {
  const text = line.text.slice(from, to)
  return segments(text, ',').map(({ base, own }) => {
    const end = own.at(-1)
    const stop = end
      ? text.indexOf(']', end.says.at + end.says.text.length) + 1 || text.length
      : base.at + base.text.length
    return { text: line.raw.slice(from + base.at, from + stop), at: from + base.at }
  })
}

const named = ({ text, quoted, library, names }: Line, from = 0, to = text.length): boolean => {
  const part = text.slice(from, to)
  if (findName(part, nameIndex(library), quoted)) return true
  return names === 'any' ? /\p{L}{2}/u.test(part) : names === 'quoted' && quotedIn(part, quoted) !== undefined
}

/**
 * Reads a line that is a whole block: `3x10 squat, rest 60`, `squat 3x10`, `2x 30 s: jack, plank`, `20/10 x8 high knees`, `amrap 10: a, b`,
 * `coin: a, b | c, d`.
 *
 * @returns undefined if the line is not a block
 */
export function readInline(
  raw: string,
  groups: readonly Group[],
  library: Library,
  at: number,
  names: NamesTaken = 'known',
): InlineBlock | undefined {
  const line = { ...hideQuoted(raw), raw, library, names }
  return readTimes(line) ?? readTimesBehind(line) ?? readHeaded(line, groups, at)
}

/** `NxD exercise` means sets; `NxD: a, b` and `Nx D a, D b` mean rounds. A final rest is between rounds or between sets. */
function readTimes(line: Line): InlineBlock | undefined {
  const match = times.exec(line.text)
  if (!match) return undefined
  const n = Number(match[1])
  if (n < 1 || n > limits.laps) return undefined
  const start = match[0].length
  const colon = colonAt(line.text.slice(start))
  const common = colon >= 0 ? readDose(line.text.slice(start, start + colon), 'reps') : undefined
  if (colon >= 0 && !common) return undefined
  const from = colon >= 0 ? start + colon + 1 : start
  const { rows, rest } = restApart(rowsOf(line, from))
  if (rows.length === 0 || !rows.some((r) => named(line, r.at, r.at + r.text.length))) return undefined
  const many = rows.length > 1 || colon >= 0
  const block: Block = many
    ? { ...newBlock.rounds('b0'), rounds: { all: n }, restBetween: { all: rest } }
    : setsOf(n, rest)
  return { block, ...(common && { common: { all: common } }), rows, problems: [] }
}

/** `exercise NxD` means sets too. */
function readTimesBehind(line: Line): InlineBlock | undefined {
  const match = timesBehind.exec(line.text)
  const n = Number(match?.[1])
  if (!match || n < 1 || n > limits.laps || !named(line, 0, match.index)) return undefined
  const blank = (text: string) =>
    text.slice(0, match.index) + ' '.repeat(match[0].length) + text.slice(match.index + match[0].length)
  const { rows, rest } = restApart(rowsOf({ ...line, text: blank(line.text), raw: blank(line.raw) }, 0))
  return rows.length === 1 ? { block: setsOf(n, rest), rows, problems: [] } : undefined
}

const setsOf = (n: number, rest: number): Block => ({
  ...newBlock.sets('b0'),
  sets: { all: n },
  restBetween: { all: rest },
  restStations: { all: 0 },
})

/** Rows without those that are a rest, and the rest's seconds. */
function restApart(all: InlineBlock['rows']): { rows: InlineBlock['rows']; rest: number } {
  const restIn = ({ text }: { text: string }) => restWords.exec(plainMarks(text))
  const found = all.map(restIn).find((match) => match)
  return {
    rows: all.filter((row) => !restIn(row)),
    rest: found ? Math.min(limits.seconds, secondsOf(found[1] ?? found[3]!, found[2] ?? found[4])) : 0,
  }
}

/** A form's line, then its rows: after a colon, or from the first name on. */
function readHeaded(line: Line, groups: readonly Group[], at: number): InlineBlock | undefined {
  const { text, quoted, library } = line
  const colon = colonAt(text)
  const name = colon < 0 ? findName(text, nameIndex(library), quoted) : undefined
  const split = colon >= 0 ? colon : (name?.before.length ?? -1)
  if (split <= 0) return undefined
  const head = text.slice(0, split).replace(/(?:\s+of)?[\s,]*$/i, '')
  const opened = readFormLine(head, groups, 'b0', at)
  // Words before a name that no form can read belong to the row.
  if (!opened || opened.problems.length) return undefined
  const from = colon >= 0 ? split + 1 : split
  const { block, common } = opened
  if (!('stations' in block)) return undefined
  const faces = notationOf(block.form).columns?.(block)
  if (!faces) return { block, common, rows: rowsOf(line, from), problems: [] }
  // Each column under its face; a line without bars is distributed over the faces.
  const columns = text.slice(from).split('|')
  let next = from
  const rows = columns.flatMap((column, i) => {
    const start = next
    next += column.length + 1
    const face = faces[Math.min(i, faces.length - 1)]!
    return rowsOf(line, start, start + column.length).map((row) => ({
      ...row,
      ...(columns.length > 1 && { word: { face } }),
    }))
  })
  return { block, common, rows, problems: [] }
}
