import {
  findBlock,
  idsOf,
  partOf,
  pasteParts,
  readPart,
  setCell,
  stationsOf,
  traitsOf,
  type Cell,
  type Form,
  type Part,
  type Session,
} from '@esfuerzo/core'
import { shallowRef } from 'vue'
import { putCells } from '@esfuerzo/core/choose'
import { readText, type ReadText } from '@esfuerzo/core/notation'
import { useReadings } from '../../reading/useReadings.ts'
import { library } from '../../repertoire/library.ts'
import type { Hand } from './hand.ts'

/** Parts of a session copied and inserted: as documents, and as text from anywhere. */
export function usePieces({ session, cursor, messages, edit, attempt, targetBlock }: Hand) {
  const { readings, country } = useReadings()
  /** A pasted text with open questions is shown before it goes in. */
  const toLookAt = shallowRef<string>()

  /** The selected part: several stations, or the cursor's block or section. */
  function takenPart(): Part | undefined {
    const stations = cursor.selectedRows.flatMap((r) => (r.kind === 'station' ? [r.station] : []))
    const row = cursor.selectedRow
    if (!row || row.kind === 'empty') return undefined
    const piece = row.kind === 'section' ? row.section : row.kind === 'block' ? row.block : stations
    return partOf(session.document, piece)
  }

  /** The selected part as text for the clipboard. */
  function copied(): string | undefined {
    const part = takenPart()
    return part && JSON.stringify(part)
  }

  /** Inserts parts after the cursor as one undo step, and moves the cursor to their first or last row. */
  function insert(parts: readonly Part[], moves: Session['moves'] = [], onto: 'first' | 'last' = 'first'): boolean {
    const row = cursor.selectedRow
    const { sections } = session.document
    const isEmpty = !sections.some((s) => s.blocks.some((b) => stationsOf(b).length))
    const section = row?.section.id ?? sections.at(isEmpty ? 0 : -1)?.id
    if (!section) return false
    const before = new Set(idsOf(session.document))
    const station = row?.kind === 'station' ? row.station.id : undefined
    // Only carried exercises that are used stay in the session.
    const withMoves = (w: Session): Session => (moves.length ? { ...w, moves: [...(w.moves ?? []), ...moves] } : w)
    if (!edit((w) => pasteParts(withMoves(w), parts, { section, block: row?.block?.id, station }))) return false
    cursor.goToNew(before, onto)
    return true
  }

  const readHere = (text: string): ReadText =>
    readText(text, library, {
      groups: session.document.groups,
      keepGroups: true,
      readings: readings.value,
      country: country.value,
    })

  /**
   * Inserts a text below the cursor: sections if it has headings, otherwise blocks, or rows if it is a plain list.
   *
   * @returns false if nothing in it belongs in a session
   */
  function insertRead({ workout: session, said }: ReadText, onto: 'first' | 'last' = 'first'): boolean {
    const parts = partsOf(session, said.headings)
    return parts.length > 0 && insert(parts, session.moves, onto)
  }

  /** Inserts a typed line and leaves the cursor on its last row. Unknown names become her own exercises, and a message names them. */
  function insertText(text: string): boolean {
    const read = readHere(text)
    const target = targetBlock()
    const into = target && findBlock(session.document, target.block).form
    const taken = insertRead(into && !/\d/.test(text) ? withoutGoals(read, into) : read, 'last')
    if (taken && read.questions.length) {
      const words = [...new Set(read.questions.map((q) => q.received))].join(', ')
      messages.say({ text: 'openWords', params: { n: read.questions.length, words }, undo: true })
    }
    return taken
  }

  /** Rows without a number, as their form has them: by the clock a number would be a goal that nobody asked for. */
  function withoutGoals(read: ReadText, form: Form): ReadText {
    const { groups, home } = session.document
    const bare = ({ dose, ...cell }: Cell): Cell => {
      const move = library.moves.get(cell.move)
      const begins = move && putCells(move, groups, { form, home }, library).all.dose
      return begins && dose ? { ...cell, dose } : cell
    }
    const stations = read.workout.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
    return { ...read, workout: stations.reduce((w, { id }) => setCell(w, id, 'all', bare), read.workout) }
  }

  function partsOf(read: Session, headings: boolean): Part[] {
    if (headings) return read.sections.map((section) => partOf(read, section))
    const blocks = read.sections.flatMap((s) => s.blocks)
    const [only] = blocks
    const plainList = blocks.length === 1 && only && traitsOf(only).goesWithoutSaying?.(only)
    if (plainList && cursor.selectedRow && targetBlock()) return [partOf(read, [...stationsOf(only)])]
    return blocks.map((block) => partOf(read, block))
  }

  /**
   * Inserts the clipboard after the cursor: a piece of a session, or any text. Clear text is inserted at once; otherwise a dialog opens
   * first.
   *
   * @returns false if the clipboard is neither
   */
  function paste(text: string): boolean {
    let part: Part | undefined
    // An invalid piece has already been reported.
    if (!attempt(() => void (part = readPart(text)))) return true
    if (part) return insert([part]) || true
    const read = readHere(text)
    if (!read.workout.sections.some((s) => s.blocks.length)) return false
    if (!read.questions.length && !read.problems.length) return insertRead(read)
    toLookAt.value = text
    return true
  }

  return { takenPart, copied, insert, readHere, insertRead, insertText, paste, toLookAt }
}
