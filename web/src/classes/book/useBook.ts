import { computed, ref, shallowReactive, shallowRef, type ComputedRef, type Ref, type ShallowRef } from 'vue'
import { v4 as uuid } from 'uuid'
import type { CallError } from '@esfuerzo/contract'
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
  type Unlikely,
  type ValueProblem,
} from '@esfuerzo/core/classBook'
import { client } from '../../shared/client.ts'
import { keepCells, keptCells } from './keptCells.ts'

/** A text on screen that is not what the server has. */
export interface TypedCell {
  id: string
  pupil: string
  column: string
  text: string
  source: 'typed' | 'imported'
  /** The entry that stood there. */
  was: string | null
  /**
   * `waiting` to be sent · `refused` it cannot be · `asked` it is hardly likely, and not sent before it is said to be right · `differs`
   * somebody else wrote there meanwhile
   */
  state: 'waiting' | 'refused' | 'asked' | 'differs'
  problem?: ValueProblem
  unlikely?: Unlikely
  now?: BookEntry | null
}

/** What a cell is to hold. */
export interface CellText {
  pupil: string
  column: string
  text: string
}

/** How the saving goes. */
export type BookState = 'saved' | 'saving' | 'away' | 'signed-out' | 'refused'

export interface Book {
  columns: ShallowRef<readonly BookColumn[]>
  loose: ShallowRef<readonly LooseRun[]>
  loading: Ref<boolean>
  problem: ShallowRef<CallError['code'] | undefined>
  state: Ref<BookState>
  load: () => Promise<void>
  /** What the server has in a cell. */
  cellOf: (pupil: string, column: string) => BookCell | undefined
  typedOf: (pupil: string, column: string) => TypedCell | undefined
  /** A cell's text: as typed, else as stored. */
  textOf: (pupil: string, column: string) => string
  /** Cells that ask for an answer: refused, hardly likely, or written by somebody else meanwhile. */
  open: ComputedRef<TypedCell[]>
  /** Puts texts into cells as one step that can be undone. */
  put: (texts: readonly CellText[], source?: TypedCell['source']) => void
  /** An unlikely value is right; or, where somebody else wrote, mine is. */
  confirm: (cell: TypedCell) => void
  /** What the server has is right. */
  drop: (cell: TypedCell) => void
  undo: () => void
  redo: () => void
  canUndo: ComputedRef<boolean>
  canRedo: ComputedRef<boolean>
  stop: () => void
}

const keyOf = (pupil: string, column: string) => `${pupil} ${column}`
const shown = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value))
/** Milliseconds of quiet before what was typed goes, and before the first new try. */
const quiet = 400
const firstTry = 1000

interface Step {
  before: CellText[]
  after: CellText[]
}

/**
 * What a class did of one session: what the server has, what was typed over it, and the way there. Every cell is written by itself, so
 * that two tabs lose nothing of each other; what is not with the server yet is kept on the device.
 */
// eslint-disable-next-line max-lines-per-function -- one state: what is stored, what is typed, and the way from one to the other
export function useBook(classId: string, publication: string): Book {
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
  const steps = shallowRef<readonly Step[]>([])
  const undone = shallowRef<readonly Step[]>([])
  let timer: ReturnType<typeof setTimeout> | undefined
  let running = false
  let stopped = false
  let tries = 0

  const byKey = computed(() => new Map(columns.value.map((column) => [column.key, column])))
  const remake = (pupil: string) => {
    const made = bookCells(columns.value, entries.get(pupil) ?? [], earlier.get(pupil) ?? []).get(pupil)
    cells.set(pupil, made ?? new Map())
  }
  const keep = () => keepCells(`${classId}/${publication}`, [...typed])

  async function load() {
    problem.value = undefined
    try {
      const book = await client('readBook', { params })
      columns.value = book.columns as BookColumn[]
      loose.value = book.loose
      const of = byPupil(book.entries as BookEntry[])
      earlier.clear()
      for (const [pupil, own] of byPupil(book.earlier as BookEntry[])) earlier.set(pupil, own)
      for (const pupil of new Set([...entries.keys(), ...of.keys()])) {
        entries.set(pupil, of.get(pupil) ?? [])
        remake(pupil)
      }
      for (const [key, cell] of await keptCells(`${classId}/${publication}`))
        if (!typed.has(key) && byKey.value.has(cell.column)) typed.set(key, cell)
      later(0)
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

  /** What a typed text comes to. @param sure it was said to be right */
  function judged(
    { pupil, column, text }: CellText,
    source: TypedCell['source'],
    sure: boolean,
  ): TypedCell | undefined {
    const of = byKey.value.get(column)!
    const stands = cellOf(pupil, column)
    const cell = { id: uuid(), pupil, column, text: text.trim(), source, was: stands?.entry.id ?? null }
    const read = readValue(text, of)
    if (read && 'problem' in read) return { ...cell, state: 'refused', problem: read.problem }
    const value = read?.value ?? null
    if (value === (stands?.entry.value ?? null)) return undefined
    const own = stands?.before.flatMap((e) => (e.value === null ? [] : [e.value])) ?? []
    const odd = value === null || sure ? undefined : unlikely(value, of, own)
    return odd ? { ...cell, state: 'asked', unlikely: odd } : { ...cell, state: 'waiting' }
  }

  function write(texts: readonly CellText[], source: TypedCell['source'], sure = false) {
    for (const text of texts) {
      const cell = judged(text, source, sure)
      if (cell) typed.set(keyOf(text.pupil, text.column), cell)
      else typed.delete(keyOf(text.pupil, text.column))
    }
    void keep()
    if (state.value === 'away') return
    if ([...typed.values()].some((cell) => cell.state === 'waiting')) state.value = 'saving'
    later(quiet)
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

  function later(ms: number) {
    clearTimeout(timer)
    if (!stopped) timer = setTimeout(() => void send(), ms)
  }
  const writtenOf = ({ id, pupil, column, text, was, source }: TypedCell): WrittenCell => {
    const of = byKey.value.get(column)!
    const { what, block, station, lap, rung, trial } = of
    const read = readValue(text, of)
    const value = read && 'value' in read ? read.value : null
    return { what, block, station, lap, rung, trial, id, pupil, value, was, source }
  }

  async function send(): Promise<void> {
    if (running) return
    const going = [...typed.values()].filter((cell) => cell.state === 'waiting').slice(0, mostCells)
    if (!going.length) {
      if (state.value !== 'refused') state.value = 'saved'
      return
    }
    running = true
    state.value = 'saving'
    try {
      const { written, differing } = await client('writeBook', { params, body: { cells: going.map(writtenOf) } })
      tries = 0
      taken(going, written as BookEntry[], differing as { id: string; now: BookEntry | null }[])
      later(0)
    } catch (error) {
      failed(callCode(error))
    } finally {
      running = false
      void keep()
    }
  }

  /** What was sent has arrived; what was typed meanwhile stays. */
  function taken(
    sent: readonly TypedCell[],
    written: readonly BookEntry[],
    differing: readonly { id: string; now: BookEntry | null }[],
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
      if (others.has(cell.id)) {
        if (here?.id === cell.id) typed.set(key, { ...cell, state: 'differs', now: others.get(cell.id) ?? null })
      } else if (here?.id === cell.id) typed.delete(key)
      // Typed on while it was on its way: it is written over what has just been written.
      else if (here) typed.set(key, { ...here, was: cellOf(cell.pupil, cell.column)?.entry.id ?? null })
    }
  }

  function failed(code: CallError['code']) {
    if (retryable(code)) {
      state.value = 'away'
      later(Math.min(10_000, firstTry * 2 ** tries++))
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
    typed.set(key, { ...rest, id: uuid(), was, state: 'waiting' })
    void keep()
    if (state.value !== 'away') state.value = 'saving'
    later(0)
  }
  function drop(cell: TypedCell) {
    typed.delete(keyOf(cell.pupil, cell.column))
    void keep()
    if (cell.state === 'differs') void load()
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
    undo,
    redo,
    canUndo: computed(() => steps.value.length > 0),
    canRedo: computed(() => undone.value.length > 0),
    stop() {
      stopped = true
      clearTimeout(timer)
    },
  }
}
