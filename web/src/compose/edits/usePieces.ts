import type { ComputedRef, Ref } from 'vue'
import { idsOf, partOf, pasteParts, readPart, traitsOf, stationsOf, type Part, type Workout } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { library } from '../../repertoire/library.ts'
import type { Row } from '../order/rows.ts'
import type { Message } from '../message.ts'

interface Hand {
  workout: Readonly<Ref<Workout>>
  selectedRow: ComputedRef<Row | undefined>
  selectedRows: ComputedRef<Row[]>
  message: Ref<Message | undefined>
  edit: (change: (now: Workout) => Workout) => boolean
  /** Does what may be refused, and says why. */
  attempt: (work: () => void) => boolean
  /** Puts the cursor on the first row that was not there before. */
  goToNew: (before: ReadonlySet<string>) => void
  /** The block a new move would go into. */
  targetBlock: () => { block: string } | undefined
}

/** Pieces of a session taken out of it and put into it: as parts, and as text from anywhere. */
export function usePieces({ workout, selectedRow, selectedRows, message, edit, attempt, goToNew, targetBlock }: Hand) {
  /** The piece that is taken: several stations, else the block or section of the cursor. */
  function takenPart(): Part | undefined {
    const stations = selectedRows.value.flatMap((r) => (r.kind === 'station' ? [r.station] : []))
    const row = selectedRow.value
    if (!row || row.kind === 'empty') return undefined
    const piece = row.kind === 'section' ? row.section : row.kind === 'block' ? row.block : stations
    return partOf(workout.value, piece)
  }

  /** The taken piece as text for the clipboard. */
  function copied(): string | undefined {
    const part = takenPart()
    return part && JSON.stringify(part)
  }

  /** Puts pieces in after the cursor, one after the other as one step back, and moves the cursor onto the first. */
  function insert(...parts: Part[]): boolean {
    const row = selectedRow.value
    const section = row?.section.id ?? workout.value.sections.at(-1)?.id
    if (!section) return false
    const before = new Set(idsOf(workout.value))
    const station = row?.kind === 'station' ? row.station.id : undefined
    if (!edit((w) => pasteParts(w, parts, { section, block: row?.block?.id, station }))) return false
    goToNew(before)
    return true
  }

  /**
   * Puts in what a whiteboard text says, below the cursor: sections where it has headings, else blocks, or rows where
   * it is a plain list. What could not be read is said.
   *
   * @returns false where nothing of it is a session's
   */
  function insertText(text: string): boolean {
    const { workout: read, problems, said: what } = parse(text, library, workout.value.groups)
    const parts = partsOf(read, what.headings)
    if (!parts.length) return false
    if (insert(...parts) && problems.length) {
      const lines = problems.map((p) => `${p.line}: ${p.received ?? ''}`).join(', ')
      message.value = { text: 'unreadLines', params: { n: problems.length, lines }, undo: true }
    }
    return true
  }

  function partsOf(read: Workout, headings: boolean): Part[] {
    if (headings) return read.sections.map((section) => partOf(read, section))
    const blocks = read.sections.flatMap((s) => s.blocks)
    const [only] = blocks
    const plainList = blocks.length === 1 && only && traitsOf(only).goesWithoutSaying?.(only)
    if (plainList && selectedRow.value && targetBlock()) return [partOf(read, [...stationsOf(only)])]
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
    if (part) return insert(part) || true
    return insertText(text)
  }

  return { takenPart, copied, insert, insertText, paste }
}
