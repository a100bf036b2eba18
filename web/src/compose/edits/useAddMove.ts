import { addStation, findBlock, stationsOf, type Cell } from '@esfuerzo/core'
import { putCells } from '@esfuerzo/core/choose'
import { library } from '../../repertoire/library.ts'
import type { Hand } from './hand.ts'

/** Adds an exercise of the repertoire to the session. */
export function useAddMove({
  session,
  cursor,
  messages,
  edit,
  hold,
  targetBlock,
  sayPlace,
}: Hand & { sayPlace: () => void }) {
  /**
   * Inserts an exercise below the cursor and moves the cursor to it.
   *
   * @param said what was typed besides its name: a version, a dose, a load
   */
  function addMove(moveId: string, words: Partial<Cell> = {}): void {
    const move = library.moves.get(moveId)
    const target = targetBlock()
    if (!move || !target) {
      messages.say({ text: 'noBlock' })
      return
    }
    const { form } = findBlock(session.document, target.block)
    const before = new Set(stationsOf(findBlock(session.document, target.block)).map((s) => s.id))
    const cells = putCells(move, session.document.groups, { form, home: session.document.home, hold: hold() }, library)
    const change = (cell: Cell): Cell => ({ ...cell, ...words })
    const typed = Object.keys(words).length
      ? {
          all: change(cells.all),
          ...(cells.by && { by: Object.fromEntries(Object.entries(cells.by).map(([g, cell]) => [g, change(cell)])) }),
        }
      : cells
    if (!edit((w) => addStation(w, target.block, typed, target.after))) return
    const added = stationsOf(findBlock(session.document, target.block)).find((s) => !before.has(s.id))
    if (added) cursor.goTo(added.id)
    sayPlace()
  }

  return { addMove }
}
