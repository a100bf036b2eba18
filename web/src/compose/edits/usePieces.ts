import { idsOf, partOf, pasteParts, readPart, traitsOf, stationsOf, type Part, type Workout } from '@esfuerzo/core'
import { readText } from '@esfuerzo/core/notation'
import { useReadings } from '../../reading/useReadings.ts'
import { library } from '../../repertoire/library.ts'
import type { Hand } from './hand.ts'

/** Pieces of a session taken out of it and put into it: as parts, and as text from anywhere. */
export function usePieces({ session, cursor, messages, edit, attempt, targetBlock }: Hand) {
  const { readings } = useReadings()

  /** The piece that is taken: several stations, else the block or section of the cursor. */
  function takenPart(): Part | undefined {
    const stations = cursor.selectedRows.flatMap((r) => (r.kind === 'station' ? [r.station] : []))
    const row = cursor.selectedRow
    if (!row || row.kind === 'empty') return undefined
    const piece = row.kind === 'section' ? row.section : row.kind === 'block' ? row.block : stations
    return partOf(session.workout, piece)
  }

  /** The taken piece as text for the clipboard. */
  function copied(): string | undefined {
    const part = takenPart()
    return part && JSON.stringify(part)
  }

  /** Puts pieces in after the cursor, one after the other as one step back, and moves the cursor onto the first. */
  function insert(parts: readonly Part[], moves: Workout['moves'] = []): boolean {
    const row = cursor.selectedRow
    const section = row?.section.id ?? session.workout.sections.at(-1)?.id
    if (!section) return false
    const before = new Set(idsOf(session.workout))
    const station = row?.kind === 'station' ? row.station.id : undefined
    // Moves that come along and are used in the end are the session's.
    const withMoves = (w: Workout): Workout => (moves.length ? { ...w, moves: [...(w.moves ?? []), ...moves] } : w)
    if (!edit((w) => pasteParts(withMoves(w), parts, { section, block: row?.block?.id, station }))) return false
    cursor.goToNew(before)
    return true
  }

  /**
   * Puts in what a whiteboard text says, below the cursor: sections where it has headings, else blocks, or rows where
   * it is a plain list. What is not clear stands as a move of her own, and is said.
   *
   * @returns false where nothing of it is a session's
   */
  function insertText(text: string): boolean {
    const { groups } = session.workout
    const {
      workout: read,
      questions,
      said: what,
    } = readText(text, library, { groups, keepGroups: true, readings: readings.value })
    const parts = partsOf(read, what.headings)
    if (!parts.length) return false
    if (insert(parts, read.moves) && questions.length) {
      const words = [...new Set(questions.map((q) => q.received))].join(', ')
      messages.say({ text: 'openWords', params: { n: questions.length, words }, undo: true })
    }
    return true
  }

  function partsOf(read: Workout, headings: boolean): Part[] {
    if (headings) return read.sections.map((section) => partOf(read, section))
    const blocks = read.sections.flatMap((s) => s.blocks)
    const [only] = blocks
    const plainList = blocks.length === 1 && only && traitsOf(only).goesWithoutSaying?.(only)
    if (plainList && cursor.selectedRow && targetBlock()) return [partOf(read, [...stationsOf(only)])]
    return blocks.map((block) => partOf(read, block))
  }

  /**
   * Puts what was copied in after the cursor: a piece of a session, or a text from anywhere.
   *
   * @returns false where the text is neither
   */
  function paste(text: string): boolean {
    let part: Part | undefined
    // One that claims to be a piece and is not right has been named.
    if (!attempt(() => void (part = readPart(text)))) return true
    if (part) return insert([part]) || true
    return insertText(text)
  }

  return { takenPart, copied, insert, insertText, paste }
}
