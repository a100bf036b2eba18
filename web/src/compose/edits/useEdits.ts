import { defineStore } from 'pinia'
import { carryMoves, hasStations, idsOf, ProblemError, type Cell, type Session } from '@esfuerzo/core'
import { library } from '../../repertoire/library.ts'
import { useSettings } from '../../settings/store.ts'
import { i18n, problemText } from '../../words/i18n.ts'
import { useCursor } from '../cursor/useCursor.ts'
import type { Row } from '../order/rows.ts'
import { useSession } from '../session/useSession.ts'
import { useMessages } from '../useMessages.ts'
import { useAddMove } from './useAddMove.ts'
import { dropEdit, type Dragged, type Edge } from './dropEdit.ts'
import { cellEdit, rowEdits } from './rowEdits.ts'
import { usePieces } from './usePieces.ts'
import { useSwap } from './useSwap.ts'

/** Everything that can be done to the session: every change is one of these, and one undo step. */
export const useEdits = defineStore('edits', () => {
  const { t } = i18n.global
  const session = useSession()
  const cursor = useCursor()
  const messages = useMessages()
  const settings = useSettings()
  const hold = () => settings.settings?.policy.hold

  /**
   * Applies an edit. An invalid edit changes nothing and shows why.
   *
   * @param merge consecutive edits with the same key are undone as one
   */
  function edit(change: (now: Session) => Session, merge?: string): boolean {
    return attempt(() => session.push(carryMoves(change(session.document), library), merge))
  }

  /** Runs an action that may produce an invalid session; then shows why and returns false. */
  function attempt(work: () => void): boolean {
    try {
      work()
      return true
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      messages.say({ text: error.problems.map(problemText).join('\n') })
      return false
    }
  }

  /** Changes the selected cells. @param scope for which groups; by default those of the selected cells */
  function editCells(change: (cell: Cell) => Cell, merge: string, scope = cursor.scope): boolean {
    const list = cursor.selectedRows
    return edit(cellEdit(list, scope, change), `${merge}:${list.map((r) => r.id).join()}:${String(scope)}`)
  }

  /** Says where a row is now, for people who can't see it move. */
  function sayPlace(): void {
    const at = cursor.rows.findIndex((r) => r.id === cursor.selectedRow?.id)
    const row = cursor.selectedRow
    if (!row || row.kind === 'empty') return
    const section = row.section.title || t(`role.${row.section.role}`)
    messages.tell(t('order.place', { name: nameOf(row), n: at + 1, of: cursor.rows.length, section }))
  }

  const nameOf = (row: Row) =>
    row.kind === 'station'
      ? row.name
      : row.kind === 'section'
        ? row.section.title || t(`role.${row.section.role}`)
        : (row.block?.title ?? t(`forms.${row.block?.form ?? 'list'}.name`))

  /** Moves the selected rows up (−1) or down (1). */
  function moveRows(by: -1 | 1): void {
    const edits = rowEdits(cursor.selectedRows)
    if (edits && edit(edits.move(by))) sayPlace()
  }

  /** Moves the dragged rows to where they were dropped. */
  function drop(dragged: Dragged, on: Row, edge: Edge): void {
    const change = dropEdit(dragged, on, edge, hold())
    if (!change) return
    const before = new Set(idsOf(session.document))
    if (!edit(change)) return
    if (dragged.kind === 'rows') cursor.goTo(dragged.rows[0]!.id)
    else cursor.goToNew(before)
    sayPlace()
  }

  /** The block that a new exercise goes into: the selected one, or the last that takes exercises; in a session without exercises the first. */
  function targetBlock(): { block: string; after?: string } | undefined {
    const row = cursor.selectedRow
    if (row?.kind === 'station') return { block: row.block.id, after: row.station.id }
    if (row?.block && hasStations(row.block)) return { block: row.block.id }
    const inSection = row?.section.blocks.find(hasStations)
    const all = session.document.sections.flatMap((s) => s.blocks).filter(hasStations)
    const block = inSection ?? (all.some((b) => b.stations.length) ? all.at(-1) : all[0])
    return block && { block: block.id }
  }

  const hand = { session, cursor, messages, edit, attempt, hold, targetBlock }
  const pieces = usePieces(hand)
  const swaps = useSwap(hand)
  const { addMove } = useAddMove({ ...hand, sayPlace })

  /** Removes the selected rows, keeps the cursor near, and offers to undo. */
  function removeRows(): void {
    const edits = rowEdits(cursor.selectedRows)
    const at = cursor.rows.findIndex((r) => r.id === cursor.selectedRows[0]?.id)
    if (!edits || !edit(edits.remove)) return
    const near = cursor.rows[Math.min(at, cursor.rows.length - 1)]
    cursor.select(near && { row: near.id, cell: -1 })
    messages.say({ text: 'removed', undo: true })
  }

  return { edit, editCells, moveRows, drop, addMove, removeRows, nameOf, hold, ...pieces, ...swaps }
})
