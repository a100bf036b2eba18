import {
  cleanText,
  ProblemError,
  setBlock,
  setBlockWords,
  setCell,
  setSection,
  setStation,
  stationsOf,
  valueFor,
  type Block,
  type BlockOf,
  type Cell,
  type Form,
  type Policy,
  type Scope,
  type Unit,
  type Session,
} from '@esfuerzo/core'
import { putMove } from '@esfuerzo/core/choose'
import { printBlockFor, printCell, readBlockFor, readCell } from '@esfuerzo/core/notation'
import { library } from '../../repertoire/library.ts'
import type { Row } from '../order/rows.ts'

/** The unit of a number typed without one: the cell's own, or what the exercise is counted in. */
const unitOf = (cell: Cell): Unit => cell.dose?.unit ?? library.moves.get(cell.move)?.measures[0] ?? 'reps'

const firstGroup = (session: Session, scope: Scope): string => (scope === 'all' ? session.groups[0]!.id : scope[0]!)

/**
 * The text of a row or cell, for editing in place.
 *
 * @param cell index of the cell; −1 is the row's head: its name
 */
export function inPlaceText(session: Session, row: Row, cell: number, scope: Scope): string {
  if (row.kind === 'empty') return ''
  if (cell < 0) {
    if (row.kind === 'section') return row.section.title
    return (row.kind === 'block' ? row.block.title : row.station.storyName) ?? ''
  }
  const group = firstGroup(session, scope)
  if (row.kind === 'station') return printCell(valueFor(row.station.cells, group), library)
  return row.block ? printBlockFor(row.block, group) : ''
}

const unread = (received: string, nearest: readonly string[] = []) =>
  new ProblemError([{ code: 'unread', path: [], received, ...(nearest.length && { expected: { oneOf: nearest } }) }])

/**
 * The edit that changes a row or cell to the typed text.
 *
 * @throws {ProblemError} `unread` from the edit, if the text cannot be read
 */
export function inPlaceEdit(
  row: Row,
  cell: number,
  scope: Scope,
  typed: string,
  hold?: Policy['hold'],
): (w: Session) => Session {
  const line = cleanText(typed, 'line').trim()
  if (row.kind === 'empty') return (w) => w
  if (cell < 0) {
    if (row.kind === 'section') return (w) => setSection(w, row.id, { title: line })
    if (row.kind === 'block') return (w) => setBlockWords(w, row.id, { title: line || undefined })
    return (w) => setStation(w, row.id, { storyName: line || undefined })
  }
  if (row.kind === 'station') return (w) => cellText(w, row, scope, line, hold)
  const { block } = row
  return (w) => (block ? blockText(w, block, scope, line) : w)
}

function cellText(
  w: Session,
  row: Extract<Row, { kind: 'station' }>,
  scope: Scope,
  line: string,
  hold: Policy['hold'] | undefined,
): Session {
  const groups = w.groups.filter((g) => scope === 'all' || scope.includes(g.id))
  return groups.reduce((now, group) => {
    const station = stationsOf(now.sections.flatMap((s) => s.blocks).find((b) => b.id === row.block.id)!).find(
      (s) => s.id === row.id,
    )!
    const before = valueFor(station.cells, group.id)
    const read = readCell(line, before, library, unitOf(before))
    if ('unread' in read) throw unread(read.unread, read.nearest)
    let { cell } = read
    // Another exercise comes in the version each grade is ready for, unless a version was named.
    const move = library.moves.get(cell.move)!
    if (cell.move !== before.move && cell.version === move.standard) {
      const { dose: _d, load: _l, ...words } = cell
      cell = { ...words, ...putMove(cell, move, group, { form: row.block.form, home: w.home, hold }, library) }
    }
    return setCell(now, row.id, [group.id], () => cell)
  }, w)
}

function blockText(w: Session, block: Block, scope: Scope, line: string): Session {
  return setBlock(w, block.id, block.form as Form, (now) => {
    const read = readBlockFor(now, scope, line)
    if ('unread' in read) throw unread(read.unread)
    return read.block as BlockOf<Form>
  })
}
