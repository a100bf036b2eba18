import type { ComputedRef, Ref } from 'vue'
import { valueFor, type Group, type Policy, type Scope, type Workout } from '@esfuerzo/core'
import { likeMoves, type LikeMove } from '@esfuerzo/core/choose'
import { library } from '../../repertoire/library.ts'
import { moveEdit } from './rowEdits.ts'
import type { Row } from '../order/rows.ts'
import type { Message } from '../message.ts'

interface Hand {
  workout: Readonly<Ref<Workout>>
  rows: ComputedRef<Row[]>
  selectedRows: ComputedRef<Row[]>
  /** The groups of the taken cells. */
  scope: ComputedRef<Scope>
  /** How long the school holds its stretches. */
  hold: () => Policy['hold'] | undefined
  message: Ref<Message | undefined>
  edit: (change: (now: Workout) => Workout) => boolean
}
type StationRow = Extract<Row, { kind: 'station' }>

/** Another move in the place of a row's. */
export function useSwap({ workout, rows, selectedRows, scope: takenScope, hold, message, edit }: Hand) {
  /**
   * Puts another move in the place of each taken row's, for the groups of the taken cells: one like it that is not in the session
   * yet.
   *
   * @param moveId the move; left out, the likest
   */
  function swap(moveId?: string, scope = takenScope.value): void {
    const { groups } = workout.value
    const whom = groups.filter((g) => scope === 'all' || scope.includes(g.id))
    const there = new Set(rows.value.flatMap((r) => (r.kind === 'station' ? [r.station.cells.all.move] : [])))
    const names: string[] = []
    const change = selectedRows.value.reduce<((w: Workout) => Workout) | undefined>((before, row) => {
      if (row.kind !== 'station') return before
      const next = library.moves.get(moveId ?? likeRow(row, whom, there)?.move.id ?? '')
      if (!next) return before
      there.add(next.id)
      names.push(next.name)
      const put = moveEdit([row], scope, next, hold())
      return (w) => put(before?.(w) ?? w)
    }, undefined)
    if (!change) message.value = { text: 'nothingLike' }
    else if (edit(change)) message.value = { text: 'swapped', params: { names: names.join(', ') }, undo: true }
  }

  /** The moves most like a row's, for the youngest of some groups. */
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
    return likeMoves(move, version, workout.value.home, grade, library, without)
  }

  return { swap, likesOf }
}
