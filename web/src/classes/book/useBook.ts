import { computed, ref, shallowReactive, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { v4 as uuid } from 'uuid'
import type { CallError, RefusedCell } from '@esfuerzo/contract'
import { callCode, mostCells, retryable, type LooseRun, type WrittenCell } from '@esfuerzo/contract'
import {
  bookCells,
  byPupil,
  placeKey,
  readValue,
  unlikely,
  type BookCell,
  type BookColumn,
  type BookEntry,
} from '@esfuerzo/core/classBook'
import { client } from '../../shared/client.ts'
import { senderOf } from '../../shared/sender.ts'
import { cellKeeper } from './keptCells.ts'
import type { TypedCell } from './typedCell.ts'

/** The value a cell should hold. */
export interface CellText {
  pupil: string
  column: string
  text: string
}

/** The state of saving. */
export type BookState = 'saved' | 'saving' | 'away' | 'signed-out' | 'refused'

export interface Book {
  columns: ShallowRef<readonly BookColumn[]>
  loose: ShallowRef<readonly LooseRun[]>
  loading: Ref<boolean>
  problem: ShallowRef<CallError['code'] | undefined>
  state: Ref<BookState>
  load: () => Promise<void>
  /** The server's value of a cell. */
  cellOf: (pupil: string, column: string) => BookCell | undefined
  typedOf: (pupil: string, column: string) => TypedCell | undefined
  /** A cell's text: as typed, otherwise as stored. */
  textOf: (pupil: string, column: string) => string
  /** Cells to check: refused, unlikely, or written by somebody else meanwhile. */
  open: ComputedRef<TypedCell[]>
  /** Puts texts into cells as one undo step. */
  put: (texts: readonly CellText[], source?: TypedCell['source']) => void
  /** Confirms an unlikely value, or mine over somebody else's. */
  confirm: (cell: TypedCell) => void
  /** Keeps the server's value. */
  drop: (cell: TypedCell) => void
  /** A value whose pupil is gone belonged to somebody else. */
  give: (cell: TypedCell, pupil: string) => void
  undo: () => void
  redo: () => void
  canUndo: ComputedRef<boolean>
  canRedo: ComputedRef<boolean>
  stop: () => void
}

const keyOf = (pupil: string, column: string) => `${pupil} ${column}`
const shown = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value))
/** Milliseconds without typing until values are sent. */
const quiet = 400

/** The outcome for cells that were sent. */
interface Taken {
  written: readonly BookEntry[]
  differing: readonly { id: string; now: BookEntry | null }[]
}

interface Step {
  before: CellText[]
  after: CellText[]
}

/**
 * A class's results of one session: the server's values, what was typed over them, and saving. Every cell is written separately, so that
 * two tabs do not overwrite each other; unsaved values are kept on the device.
 *
 * @param named the book's name, shown to somebody who signs out while something is unsaved
 */
// oxlint-disable-next-line max-lines-per-function -- one state: what is stored, what is typed, and the way from one to the other
export function useBook(classId: string, publication: string, named: () => string = () => ''): Book {
  const params = { id: classId, publication }
  const columns = shallowRef<readonly BookColumn[]>([])
  const loose = shallowRef<readonly LooseRun[]>([])
  const loading = ref(true)
  const problem = shallowRef<CallError['code']>()
  const state = ref<BookState>('saved')
  const entries = shallowReactive(new Map<string, readonly BookEntry[]>())
  const earlier = new Map<string, readonly BookEntry[]>()
  const cells = shallowReactive(new Map<string, ReadonlyMap<string, BookCell>>())
  const typed = shallowReactive(new Map<string, TypedCell>())
  const keeper = cellKeeper(`${classId}/${publication}`, named)
  const steps = shallowRef<readonly Step[]>([])
  const undone = shallowRef<readonly Step[]>([])
  const sender = senderOf(send, quiet)

  const byKey = computed(() => new Map(columns.value.map((column) => [column.key, column])))
  const remake = (pupil: string) => {
    const made = bookCells(columns.value, entries.get(pupil) ?? [], earlier.get(pupil) ?? []).get(pupil)
    cells.set(pupil, made ?? new Map())
  }
  /** Puts a cell on screen and on the device, or removes it from both. */
  function setTyped(key: string, cell: TypedCell | undefined) {
    if (cell) typed.set(key, cell)
    else typed.delete(key)
    void keeper.keep(key, cell)
  }

  async function load() {
    problem.value = undefined
    try {
      const book = await client('readBook', { params })
      columns.value = book.columns as BookColumn[]
      loose.value = book.loose
      const byColumn = byPupil(book.entries as BookEntry[])
      earlier.clear()
      for (const [pupil, own] of byPupil(book.earlier as BookEntry[])) earlier.set(pupil, own)
      for (const pupil of new Set([...entries.keys(), ...byColumn.keys()])) {
        entries.set(pupil, byColumn.get(pupil) ?? [])
        remake(pupil)
      }
      for (const [key, cell] of await keeper.all()) {
        // The value on screen is newer; one without a column waits for a decision.
        if (typed.has(key)) continue
        typed.set(key, byKey.value.has(cell.column) ? cell : { ...cell, state: 'refused', why: 'no-column' })
      }
      sender.soon(0)
    } catch (error) {
      problem.value = callCode(error)
    } finally {
      loading.value = false
    }
  }

  const cellOf = (pupil: string, column: string) => cells.get(pupil)?.get(column)
  const typedOf = (pupil: string, column: string) => typed.get(keyOf(pupil, column))
  const textOf = (pupil: string, column: string) =>
    typedOf(pupil, column)?.text ?? shown(cellOf(pupil, column)?.entry.value)

  /** How a typed text is read. @param sure whether it was confirmed */
  function judged(
    { pupil, column, text }: CellText,
    source: TypedCell['source'],
    sure: boolean,
  ): TypedCell | undefined {
    const definition = byKey.value.get(column)!
    const stands = cellOf(pupil, column)
    const cell = { id: uuid(), pupil, column, text: text.trim(), source, was: stands?.entry.id ?? null }
    const read = readValue(text, definition)
    if (read && 'problem' in read) return { ...cell, state: 'refused', problem: read.problem }
    const value = read?.value ?? null
    if (value === (stands?.entry.value ?? null)) return undefined
    const own = stands?.before.flatMap((e) => (e.value === null ? [] : [e.value])) ?? []
    const odd = value === null || sure ? undefined : unlikely(value, definition, own)
    return odd ? { ...cell, state: 'asked', unlikely: odd } : { ...cell, state: 'waiting' }
  }

  function write(texts: readonly CellText[], source: TypedCell['source'], sure = false) {
    for (const text of texts) {
      setTyped(keyOf(text.pupil, text.column), judged(text, source, sure))
    }
    if (state.value === 'away') return
    if ([...typed.values()].some((cell) => cell.state === 'waiting')) state.value = 'saving'
    sender.soon()
  }

  function put(texts: readonly CellText[], source: TypedCell['source'] = 'typed') {
    const changing = texts.filter((t) => byKey.value.has(t.column) && textOf(t.pupil, t.column) !== t.text.trim())
    if (!changing.length) return
    const before = changing.map(({ pupil, column }) => ({ pupil, column, text: textOf(pupil, column) }))
    steps.value = [...steps.value, { before, after: changing }].slice(-200)
    undone.value = []
    write(changing, source)
  }
  function undo() {
    const last = steps.value.at(-1)
    if (!last) return
    steps.value = steps.value.slice(0, -1)
    undone.value = [...undone.value, last]
    write(last.before, 'typed', true)
  }
  function redo() {
    const last = undone.value.at(-1)
    if (!last) return
    undone.value = undone.value.slice(0, -1)
    steps.value = [...steps.value, last]
    write(last.after, 'typed', true)
  }

  const writtenOf = ({ id, pupil, column, text, was, source }: TypedCell): WrittenCell => {
    const definition = byKey.value.get(column)!
    const { what, block, station, lap, rung, trial } = definition
    const read = readValue(text, definition)
    const value = read && 'value' in read ? read.value : null
    return { what, block, station, lap, rung, trial, id, pupil, value, was, source }
  }

  async function send(): Promise<boolean> {
    const going = [...typed.values()].filter((cell) => cell.state === 'waiting').slice(0, mostCells)
    if (!going.length) {
      if (state.value !== 'refused') state.value = 'saved'
      return true
    }
    state.value = 'saving'
    try {
      const answer = await client('writeBook', { params, body: { cells: going.map(writtenOf) } })
      sender.arrived()
      // A server of the previous release answers without refusals.
      const refused = new Map((answer.refused ?? []).map(({ id, why }) => [id, why]))
      taken(going, answer as Taken, refused)
      sender.soon(0)
    } catch (error) {
      failed(callCode(error))
    }
    return false
  }

  /** Sent values have arrived; values typed meanwhile stay. */
  function taken(
    sent: readonly TypedCell[],
    { written, differing }: Taken,
    refused: ReadonlyMap<string, RefusedCell['why']>,
  ) {
    const others = new Map(differing.map(({ id, now }) => [id, now]))
    const was = new Set(sent.map((cell) => cell.was))
    for (const [pupil, now] of byPupil(written)) {
      const places = new Set(now.map(placeKey))
      const ids = new Set(now.map((e) => e.id))
      const kept = (entries.get(pupil) ?? []).filter(
        (e) => !(was.has(e.id) && places.has(placeKey(e))) && !ids.has(e.id),
      )
      entries.set(pupil, [...kept, ...now])
      remake(pupil)
    }
    for (const cell of sent) {
      const key = keyOf(cell.pupil, cell.column)
      const here = typed.get(key)
      const why = refused.get(cell.id)
      if (here?.id === cell.id) setTyped(key, leftOf(cell, why, others))
      // Edited while it was being saved: the edit is saved over the value just written.
      else if (here && !why) setTyped(key, { ...here, was: cellOf(cell.pupil, cell.column)?.entry.id ?? null })
    }
  }

  /** What is left to do for a cell that was sent; undefined if it is stored. */
  function leftOf(
    cell: TypedCell,
    why: RefusedCell['why'] | undefined,
    others: ReadonlyMap<string, BookEntry | null>,
  ): TypedCell | undefined {
    // Its id was taken, or its place was sent twice: it is sent again automatically.
    if (why === 'id-taken' || why === 'twice') return { ...cell, id: uuid() }
    if (why) return { ...cell, state: 'refused', why }
    return others.has(cell.id) ? { ...cell, state: 'differs', now: others.get(cell.id) ?? null } : undefined
  }

  function failed(code: CallError['code']) {
    if (retryable(code)) {
      state.value = 'away'
      sender.again()
    } else state.value = code === 'sign-in-needed' ? 'signed-out' : 'refused'
  }

  function confirm(cell: TypedCell) {
    const key = keyOf(cell.pupil, cell.column)
    const was = cell.state === 'differs' ? (cell.now?.id ?? null) : cell.was
    if (cell.now) {
      entries.set(cell.pupil, [...(entries.get(cell.pupil) ?? []).filter((e) => e.id !== cell.was), cell.now])
      remake(cell.pupil)
    }
    const { now: _, unlikely: __, ...rest } = cell
    setTyped(key, { ...rest, id: uuid(), was, state: 'waiting' })
    if (state.value !== 'away') state.value = 'saving'
    sender.soon(0)
  }
  function drop(cell: TypedCell) {
    setTyped(keyOf(cell.pupil, cell.column), undefined)
    if (cell.state === 'differs') void load()
  }
  function give(cell: TypedCell, pupil: string) {
    setTyped(keyOf(cell.pupil, cell.column), undefined)
    put([{ pupil, column: cell.column, text: cell.text }], cell.source)
  }

  return {
    columns,
    loose,
    loading,
    problem,
    state,
    load,
    cellOf,
    typedOf,
    textOf,
    open: computed(() => [...typed.values()].filter((cell) => cell.state !== 'waiting')),
    put,
    confirm,
    drop,
    give,
    undo,
    redo,
    canUndo: computed(() => steps.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    stop: sender.stop,
  }
}
