import { cellsFor } from '../library/cellsFor.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import type { Group } from '../terms/group.ts'
import type { Dose } from '../terms/dose.ts'
import { canonical, valueFor, type PerGroup } from '../terms/perGroup.ts'
import type { Cell, Station } from '../session/station.ts'
import type { BroughtMoves } from './broughtMoves.ts'
import { fieldsOf, readCellWords, withLaps, withoutNegated } from './cell.ts'
import { notationOf } from './formNotations.ts'
import { groupsOf } from './groupsText.ts'
import { normalCells } from './normalCells.ts'
import { nameIndex, nearestNames, type Named } from './names.ts'
import { hideQuoted, quotedIn, shown, type Hidden } from './quoted.ts'
import { segments, type Piece } from './segments.ts'
import { textProblem, type TextProblem } from './textProblem.ts'

/** The result of a row's line. */
export interface ReadStation {
  station?: Station
  problems: TextProblem[]
}

/**
 * Reads the line of a station.
 *
 * @param common the dose of rows without one of their own
 * @param at where the text starts in its line, from 0
 * @param brought if given, a name in quotes that the library does not know becomes a new exercise
 */
export function readStation(
  text: string,
  block: Block,
  groups: readonly Group[],
  library: Library,
  id: string,
  line: number,
  common?: PerGroup<Dose>,
  at = 0,
  brought?: BroughtMoves,
): ReadStation {
  const problems: TextProblem[] = []
  const place = (piece: Piece) => ({ line, column: at + piece.at + 1, length: Math.max(1, piece.text.length) })
  const { text: plain, quoted } = hideQuoted(text)
  const { word, skip } = readWordBefore(text, { text: plain, quoted }, block)
  const [segment] = segments(plain.slice(skip), '')
  if (!segment) return { problems }
  const base = { ...segment.base, at: segment.base.at + skip }

  const said = readCellWords({ text: base.text, quoted }, library, 'reps', brought)
  const unread = (piece: Piece, received: string, like: string) => {
    const near = nearestNames(like, nameIndex(library))
    problems.push(
      textProblem('unread', place(piece), {
        received: shown(received, quoted),
        ...(near.length && { expected: { oneOf: near } }),
      }),
    )
  }
  if (!said.named) {
    unread(base, base.text, said.unread ?? shown(base.text, quoted))
    return { problems }
  }
  // An unknown word is reported; what was understood is kept.
  if (said.unread) problems.push(textProblem('unread', place(base), { received: said.unread }))
  const { move, version } = said.named
  const fields = fieldsOf(said, move)
  const ready = version ? undefined : cellsFor(move, groups, 'intervals')
  const all = withLaps({ move: move.id, version: version ?? move.standard, ...fields }, said, library, brought)
  const baseFor = (groupId: string): Cell => (ready ? { ...all, version: valueFor(ready, groupId).version } : all)
  const by: Record<string, Cell> = Object.fromEntries(groups.map((g) => [g.id, baseFor(g.id)]))
  for (const { group, says } of segment.own) {
    const ids = groupsOf(group.text, groups)
    const own = readCellWords({ text: says.text, quoted }, library, 'reps', brought)
    if (ids.length === 0) {
      problems.push(textProblem('unknown-group', place({ ...group, at: group.at + skip }), { received: group.text }))
      continue
    }
    if (own.unread) unread({ ...says, at: says.at + skip }, own.unread, own.unread)
    const mine = { ...(own.named && cellOf(own.named)), ...fieldsOf(own, own.named?.move ?? move) }
    for (const groupId of ids)
      by[groupId] = withLaps({ ...withoutNegated(baseFor(groupId), own.none), ...mine }, own, library, brought)
  }
  let cells: PerGroup<Cell> = canonical({ all, by })
  if (common) cells = withCommon(cells, common, groups)
  cells = normalCells(
    cells,
    groups.map((g) => g.id),
    library,
  )
  return { station: { id, cells, ...word }, problems }
}

/** A face or a call word before a row, and how much of the line it takes including its colon. */
function readWordBefore(typed: string, { text, quoted }: Hidden, block: Block) {
  const { prefix } = notationOf(block.form)
  const before = prefix && /^([^:[\]";]{1,60}|"[^"]{1,60}"):\s+(?=\S)/.exec(text)
  if (!before) return { skip: 0 }
  // As typed: its marks stay.
  const words = quotedIn(before[1]!, quoted)?.name ?? typed.slice(0, before[1]!.length)
  const word = prefix.read(words.trim(), block)
  return { word, skip: word ? before[0].length : 0 }
}

const cellOf = ({ move, version }: Named): Cell => ({ move: move.id, version: version ?? move.standard })

function withCommon(cells: PerGroup<Cell>, common: PerGroup<Dose>, groups: readonly Group[]): PerGroup<Cell> {
  const dosed = (cell: Cell, dose: Dose): Cell => (cell.dose ? cell : { ...cell, dose })
  const by = Object.fromEntries(groups.map((g) => [g.id, dosed(valueFor(cells, g.id), valueFor(common, g.id))]))
  return canonical({ all: dosed(cells.all, common.all), by })
}
