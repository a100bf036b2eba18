import { cellsFor } from '../library/cellsFor.ts'
import type { Library } from '../library/library.ts'
import type { Block } from '../session/forms.ts'
import type { Group } from '../terms/group.ts'
import type { Dose } from '../terms/dose.ts'
import { canonical, valueFor, type PerGroup } from '../terms/perGroup.ts'
import type { Cell, Station } from '../session/station.ts'
import { fieldsOf, readCellWords, withOwnLaps, withoutNegated } from './cell.ts'
import { notationOf } from './formNotations.ts'
import { groupsOf } from './groupsText.ts'
import { normalCells } from './normalCells.ts'
import { nameIndex, nearestNames, type Named } from './names.ts'
import { segments, type Piece } from './segments.ts'
import { textProblem, type TextProblem } from './textProblem.ts'

/** What a row's line came to. */
export interface ReadStation {
  station?: Station
  problems: TextProblem[]
}

/**
 * Reads the line of a station.
 *
 * @param common the dose of rows that have none of their own
 * @param at where the text begins in its line, from 0
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
): ReadStation {
  const problems: TextProblem[] = []
  const place = (piece: Piece) => ({ line, column: at + piece.at + 1, length: Math.max(1, piece.text.length) })
  const { prefix } = notationOf(block.form)
  const before = prefix && /^([^:[\]";]{1,60}):\s+(?=\S)/.exec(text)
  const word = before ? prefix.read(before[1]!.trim(), block) : undefined
  const skip = word ? before![0].length : 0
  const [segment] = segments(text.slice(skip), '')
  if (!segment) return { problems }
  const base = { ...segment.base, at: segment.base.at + skip }

  const said = readCellWords(base.text, library, 'reps')
  const unread = (piece: Piece, received: string, like: string) => {
    const near = nearestNames(like, nameIndex(library))
    problems.push(textProblem('unread', place(piece), { received, ...(near.length && { expected: { oneOf: near } }) }))
  }
  if (!said.named) {
    unread(base, base.text, said.unread ?? base.text)
    return { problems }
  }
  // A word too many is named; what was understood is kept.
  if (said.unread) problems.push(textProblem('unread', place(base), { received: said.unread }))
  const { move, version } = said.named
  const fields = fieldsOf(said, move)
  const ready = version ? undefined : cellsFor(move, groups, 'intervals')
  const all = withOwnLaps({ move: move.id, version: version ?? move.standard, ...fields }, library)
  const baseFor = (groupId: string): Cell => (ready ? { ...all, version: valueFor(ready, groupId).version } : all)
  const by: Record<string, Cell> = Object.fromEntries(groups.map((g) => [g.id, baseFor(g.id)]))
  for (const { group, says } of segment.own) {
    const ids = groupsOf(group.text, groups)
    const own = readCellWords(says.text, library, 'reps')
    if (ids.length === 0) {
      problems.push(textProblem('unknown-group', place({ ...group, at: group.at + skip }), { received: group.text }))
      continue
    }
    if (own.unread) unread({ ...says, at: says.at + skip }, own.unread, own.unread)
    const mine = { ...(own.named && cellOf(own.named)), ...fieldsOf(own, own.named?.move ?? move) }
    for (const groupId of ids)
      by[groupId] = withOwnLaps({ ...withoutNegated(baseFor(groupId), own.none), ...mine }, library)
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

const cellOf = ({ move, version }: Named): Cell => ({ move: move.id, version: version ?? move.standard })

function withCommon(cells: PerGroup<Cell>, common: PerGroup<Dose>, groups: readonly Group[]): PerGroup<Cell> {
  const dosed = (cell: Cell, dose: Dose): Cell => (cell.dose ? cell : { ...cell, dose })
  const by = Object.fromEntries(groups.map((g) => [g.id, dosed(valueFor(cells, g.id), valueFor(common, g.id))]))
  return canonical({ all: dosed(cells.all, common.all), by })
}
