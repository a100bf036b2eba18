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

// Not before a pair of work and rest: `8x20/10` is laps by the clock.
const times = /^(\d{1,2})\s*x\s*(?!\d+\s*s?\s*\/)(?=\S)/i
const restWords = new RegExp(
  `^(?:with )?(?:a )?rest\\s*:?\\s*${secondsPattern}(?:\\s*between)?$|^${secondsPattern}\\s*rest$`,
  'i',
)

/** The first colon that is in no brackets and no quotes; −1 where there is none. */
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

const rowsOf = (text: string, at: number): InlineBlock['rows'] =>
  segments(text, ',').map(({ base, own }) => {
    const end = own.at(-1)
    const stop = end
      ? text.indexOf(']', end.says.at + end.says.text.length) + 1 || text.length
      : base.at + base.text.length
    return { text: text.slice(base.at, stop), at: at + base.at }
  })

/**
 * Reads a line that is a whole block: `3x10 squat, rest 60`, `2x 30 s: jack, plank`, `20/10 x8 high knees`,
 * `amrap 10: a, b`, `coin: a, b | c, d`.
 *
 * @returns undefined where the line is none
 */
export function readInline(
  text: string,
  groups: readonly Group[],
  library: Library,
  line: number,
): InlineBlock | undefined {
  const plain = plainMarks(text)
  return readTimes(plain, library) ?? readHeaded(plain, groups, library, line)
}

/** `NxD move` is sets; `NxD: a, b` and `Nx D a, D b` are rounds. A trailing rest is between rounds or between sets. */
function readTimes(text: string, library: Library): InlineBlock | undefined {
  const match = times.exec(text)
  if (!match) return undefined
  const n = Number(match[1])
  if (n < 1 || n > limits.laps) return undefined
  const start = match[0].length
  const rest = text.slice(start)
  const colon = colonAt(rest)
  const common = colon >= 0 ? readDose(rest.slice(0, colon), 'reps') : undefined
  if (colon >= 0 && !common) return undefined
  const from = colon >= 0 ? colon + 1 : 0
  const all = rowsOf(rest.slice(from), start + from)
  const rests = all.filter((r) => restWords.test(r.text))
  const rows = all.filter((r) => !restWords.test(r.text))
  if (rows.length === 0 || !rows.some((r) => findName(r.text, nameIndex(library)))) return undefined
  const found = rests.length ? restWords.exec(rests[0]!.text)! : undefined
  const seconds = found ? Math.min(limits.seconds, secondsOf(found[1] ?? found[3]!, found[2] ?? found[4])) : 0
  const many = rows.length > 1 || colon >= 0
  const block: Block = many
    ? { ...newBlock.rounds('b0'), rounds: { all: n }, restBetween: { all: seconds } }
    : { ...newBlock.sets('b0'), sets: { all: n }, restBetween: { all: seconds } }
  return { block, ...(common && { common: { all: common } }), rows, problems: [] }
}

/** A form's line, then its rows: behind a colon, or from the first name on. */
function readHeaded(text: string, groups: readonly Group[], library: Library, line: number): InlineBlock | undefined {
  const colon = colonAt(text)
  const name = colon < 0 ? findName(text, nameIndex(library)) : undefined
  const split = colon >= 0 ? colon : (name?.before.length ?? -1)
  if (split <= 0) return undefined
  const head = text.slice(0, split).replace(/(?:\s+of)?[\s,]*$/i, '')
  const opened = readFormLine(head, groups, 'b0', line)
  // Words before a name that no form understands are the row's own.
  if (!opened || opened.problems.length) return undefined
  const from = colon >= 0 ? split + 1 : split
  const tail = text.slice(from)
  const { block, common } = opened
  if (!('stations' in block)) return undefined
  const faces = notationOf(block.form).columns?.(block)
  if (!faces) return { block, common, rows: rowsOf(tail, from), problems: [] }
  // Each column under its face; a line without bars is dealt out.
  const columns = tail.split('|')
  let at = from
  const rows = columns.flatMap((column, i) => {
    const start = at
    at += column.length + 1
    const face = faces[Math.min(i, faces.length - 1)]!
    return rowsOf(column, start).map((row) => ({ ...row, ...(columns.length > 1 && { word: { face } }) }))
  })
  return { block, common, rows, problems: [] }
}
