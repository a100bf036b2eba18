import { valueFor, type Group, type Session } from '@esfuerzo/core'
import { likeMoves, type LikeMove } from '@esfuerzo/core/choose'
import { library } from '../../repertoire/library.ts'
import { moveEdit } from './rowEdits.ts'
import type { Row } from '../order/rows.ts'
import type { Hand } from './hand.ts'

type StationRow = Extract<Row, { kind: 'station' }>

/** Swaps a row's exercise for another. */
export function useSwap({ session, cursor, messages, hold, edit }: Hand) {
  /**
   * Replaces the exercise of each selected row, for the groups of the selected cells, by a similar one that the session does not have yet.
   *
   * @param moveId the new exercise; by default the most similar
   */
  function swap(moveId?: string, scope = cursor.scope): void {
    const { groups } = session.document
    const whom = groups.filter((g) => scope === 'all' || scope.includes(g.id))
    const there = new Set(cursor.rows.flatMap((r) => (r.kind === 'station' ? [r.station.cells.all.move] : [])))
    const names: string[] = []
    const change = cursor.selectedRows.reduce<((w: Session) => Session) | undefined>((before, row) => {
      if (row.kind !== 'station') return before
      const next = library.moves.get(moveId ?? likeRow(row, whom, there)?.move.id ?? '')
      if (!next) return before
      there.add(next.id)
      names.push(next.name)
      const put = moveEdit([row], scope, next, hold())
      return (w) => put(before?.(w) ?? w)
    }, undefined)
    if (!change) messages.say({ text: 'nothingLike' })
    else if (edit(change)) messages.say({ text: 'swapped', params: { names: names.join(', ') }, undo: true })
  }

  /** The exercises most like a row's, for the youngest of some groups. */
  const likeRow = (row: StationRow, whom: readonly Group[], without: ReadonlySet<string>) =>
    likesOf(row, whom, without)[0]
  function likesOf(row: StationRow, whom: readonly Group[], without?: ReadonlySet<string>): LikeMove[] {
    const [first] = whom
    if (!first) return []
    const cell = valueFor(row.station.cells, first.id)
    const move = library.moves.get(cell.move)
    const version = move?.versions.find((v) => v.id === cell.version)
    if (!move || !version) return []
    const grade = Math.min(...whom.flatMap((g) => g.grades))
    return likeMoves(move, version, session.document.home, grade, library, without)
  }

  return { swap, likesOf }
}
