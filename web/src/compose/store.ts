import { defineStore } from 'pinia'
import { computed, ref, shallowRef } from 'vue'
import {
  addStation,
  carryMoves,
  findBlock,
  hasStations,
  idsOf,
  newWorkout,
  ProblemError,
  sameValue,
  stationsOf,
  type Cell,
  type Workout,
} from '@esfuerzo/core'
import { putCells } from '@esfuerzo/core/choose'
import { callCode, type CallError } from '@esfuerzo/contract'
import { useRepertoire } from '../repertoire/store.ts'
import { useSettings } from '../settings/store.ts'
import { client } from '../shared/client.ts'
import { reloadOnce } from '../shared/reloadOnce.ts'
import { i18n, problemText } from '../words/i18n.ts'
import { library, takeOwnMoves } from '../repertoire/library.ts'
import { keepDraft, takeDraft } from '../documents/drafts.ts'
import { dropEdit, type Dragged, type Edge } from './edits/dropEdit.ts'
import { cellEdit, rowEdits } from './edits/rowEdits.ts'
import { rowsOf, type Row } from './order/rows.ts'
import { useAutosave } from '../documents/useAutosave.ts'
import { useHistory } from '../documents/useHistory.ts'
import { usePieces } from './edits/usePieces.ts'
import { useSelection, type Selection } from './cursor/useSelection.ts'
import type { Message } from './message.ts'
import { useSwap } from './edits/useSwap.ts'
import { useTimes } from './lanes/useTimes.ts'
import type { Tool } from './tools/tool.ts'

/** The session on screen: its history, its times, its saving, and what is taken of it. */
// eslint-disable-next-line max-lines-per-function -- the composer's one store, until its rooms have their own
export const useComposer = defineStore('composer', () => {
  const { t } = i18n.global
  const id = ref('')
  const loading = ref(false)
  const loadError = ref<CallError['code']>()
  const revision = ref(1)
  const message = ref<Message>()
  /** What a screen reader is told of a change that can only be seen. */
  const said = ref('')
  /** What is being worked out in the panel. */
  const tool = shallowRef<Tool>()
  const settings = useSettings()
  const repertoire = useRepertoire()
  const hold = () => settings.settings?.policy.hold

  const history = useHistory<Workout>(newWorkout('…', [[0]], 20, library.version))
  const workout = history.current
  const autosave = useAutosave({
    document: workout,
    revision,
    save: async (document, from) =>
      (await client('saveWorkout', { params: { id: id.value }, body: { revision: from, document } })).revision,
    reload: () => client('readWorkout', { params: { id: id.value } }),
    keep: (document) => keepDraft(id.value, document && { revision: revision.value, document }),
  })
  const lanes = useTimes(workout)

  const folded = ref<ReadonlySet<string>>(new Set())
  const rows = computed<Row[]>(() => rowsOf(workout.value, library, t, folded.value))
  const taking = useSelection(
    rows,
    computed(() => workout.value.groups),
  )
  const { selection, selectedRow, selectedRows } = taking
  /** The cell that is being changed in place, and what was typed to begin with. */
  const editing = shallowRef<Selection & { typed?: string }>()
  /** The row below which a line for new moves is open. */
  const adding = ref<string>()

  /** Folds a section away or opens it again. */
  function toggleFold(sectionId: string): void {
    const next = new Set(folded.value)
    if (!next.delete(sectionId)) next.add(sectionId)
    folded.value = next
  }

  /** Puts the cursor on a row, opening the section it is folded away in. */
  function goTo(rowId: string, cell = -1): void {
    const section = rowsOf(workout.value, library, t).find((r) => r.id === rowId)?.section
    if (section && section.id !== rowId && folded.value.has(section.id)) toggleFold(section.id)
    selection.value = { row: rowId, cell }
  }

  const loadedId = shallowRef('')
  /** The revision it was opened at: what was changed since is worth a state of its own. */
  let openedAt = 1

  /** Opens a session; unsaved work that this device still has comes back with it. */
  async function open(sessionId: string): Promise<void> {
    if (loadedId.value === sessionId && autosave.state.value !== 'saved') return
    const again = loadedId.value === sessionId
    loading.value = !again
    loadError.value = undefined
    void settings.load()
    if (!repertoire.loaded) void repertoire.load()
    try {
      const stored = await client('readWorkout', { params: { id: sessionId } })
      // Come back to what is still here, its undo with it.
      if (again && stored.revision === revision.value) return
      id.value = sessionId
      loadedId.value = sessionId
      revision.value = openedAt = stored.revision
      selection.value = editing.value = adding.value = tool.value = undefined
      folded.value = new Set()
      takeOwnMoves('session', stored.document.moves ?? [])
      autosave.settle(stored.document)
      history.reset(stored.document)
      const draft = await takeDraft(sessionId)
      if (!draft || sameValue(draft.document, stored.document)) return
      if (draft.revision === stored.revision) {
        history.push(draft.document)
        message.value = { text: 'restored' }
      } else {
        await saveCopy(draft.document)
        message.value = { text: 'copied' }
      }
    } catch (error) {
      loadError.value = callCode(error)
      if (loadError.value === 'newer-document') reloadOnce()
    } finally {
      loading.value = false
    }
  }

  /** Saves what is left, and closes the state it is in, so that the next sitting begins another. */
  async function leave(): Promise<void> {
    if (!(await autosave.flush()) || revision.value === openedAt) return
    openedAt = revision.value
    // Nothing is lost where this does not get through: the history only has one state fewer.
    await client('keepVersion', { params: { id: id.value }, body: {} }).catch(() => undefined)
  }

  /** Stores a document as a session of its own; the id comes back. */
  async function saveCopy(document: Workout): Promise<string> {
    const title = `${document.title.slice(0, 108)} (my copy)`
    return (await client('createWorkout', { body: { document: { ...document, title } } })).id
  }

  /** After a conflict: what is on screen becomes a copy, and the stored one is opened. */
  async function keepBoth(): Promise<string> {
    const copy = await saveCopy(workout.value)
    message.value = { text: 'copied' }
    await keepDraft(id.value, undefined)
    loadedId.value = ''
    return copy
  }

  /** After a conflict: what is stored becomes a copy, and what is on screen takes its place. */
  async function keepMine(theirs: { document: Workout; revision: number }): Promise<void> {
    await saveCopy(theirs.document)
    revision.value = theirs.revision
    await autosave.flush()
    message.value = { text: 'theirsCopied' }
  }

  /**
   * Applies an edit. One that cannot be taken changes nothing and says why.
   *
   * @param merge edits with the same key right after each other are undone as one
   */
  function edit(change: (now: Workout) => Workout, merge?: string): boolean {
    return attempt(() => history.push(carryMoves(change(workout.value), library), merge))
  }

  /** Does what may turn out to be no session; then says why and is false. */
  function attempt(work: () => void): boolean {
    try {
      work()
      return true
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error
      message.value = { text: error.problems.map(problemText).join('\n') }
      return false
    }
  }

  /** Changes the taken cells. @param scope for whom; left out, for the groups of the taken cells */
  function editCells(change: (cell: Cell) => Cell, merge: string, scope = taking.scope.value): boolean {
    const list = selectedRows.value
    return edit(cellEdit(list, scope, change), `${merge}:${list.map((r) => r.id).join()}:${String(scope)}`)
  }

  /** Where a row stands now, for whoever cannot see it move. */
  function sayPlace(): void {
    const at = rows.value.findIndex((r) => r.id === selectedRow.value?.id)
    const row = selectedRow.value
    if (!row || row.kind === 'empty') return
    const section = row.section.title || t(`role.${row.section.role}`)
    said.value = t('order.place', { name: nameOf(row), n: at + 1, of: rows.value.length, section })
  }

  const nameOf = (row: Row) =>
    row.kind === 'station'
      ? row.name
      : row.kind === 'section'
        ? row.section.title || t(`role.${row.section.role}`)
        : (row.block?.title ?? t(`forms.${row.block?.form ?? 'list'}.name`))

  /** Moves the taken rows up (−1) or down (1). */
  function moveRows(by: -1 | 1): void {
    const edits = rowEdits(selectedRows.value)
    if (edits && edit(edits.move(by))) sayPlace()
  }

  /** Moves what was dragged to where it was dropped. */
  function drop(dragged: Dragged, on: Row, edge: Edge): void {
    const change = dropEdit(dragged, on, edge, hold())
    if (!change) return
    const before = new Set(idsOf(workout.value))
    if (!edit(change)) return
    if (dragged.kind === 'rows') goTo(dragged.rows[0]!.id)
    else goToNew(before)
    sayPlace()
  }

  function goToNew(before: ReadonlySet<string>): void {
    const added = rowsOf(workout.value, library, t).find((r) => !before.has(r.id) && r.kind !== 'empty')
    if (added) goTo(added.id)
  }

  /** The block a new move goes into: the selected one's, else the last that takes moves. */
  function targetBlock(): { block: string; after?: string } | undefined {
    const row = selectedRow.value
    if (row?.kind === 'station') return { block: row.block.id, after: row.station.id }
    if (row?.block && hasStations(row.block)) return { block: row.block.id }
    const inSection = row?.section.blocks.find(hasStations)
    const block = inSection ?? workout.value.sections.flatMap((s) => s.blocks).findLast(hasStations)
    return block && { block: block.id }
  }

  /**
   * Puts a move in below the cursor and moves the cursor onto it.
   *
   * @param said what was typed besides its name: a version, a dose, a load
   */
  function addMove(moveId: string, words: Partial<Cell> = {}): void {
    const move = library.moves.get(moveId)
    const target = targetBlock()
    if (!move || !target) {
      message.value = { text: 'noBlock' }
      return
    }
    const { form } = findBlock(workout.value, target.block)
    const before = new Set(stationsOf(findBlock(workout.value, target.block)).map((s) => s.id))
    const cells = putCells(move, workout.value.groups, { form, home: workout.value.home, hold: hold() }, library)
    const change = (cell: Cell): Cell => ({ ...cell, ...words })
    const typed = Object.keys(words).length
      ? {
          all: change(cells.all),
          ...(cells.by && { by: Object.fromEntries(Object.entries(cells.by).map(([g, cell]) => [g, change(cell)])) }),
        }
      : cells
    if (!edit((w) => addStation(w, target.block, typed, target.after))) return
    const added = stationsOf(findBlock(workout.value, target.block)).find((s) => !before.has(s.id))
    if (added) goTo(added.id)
    sayPlace()
  }

  const hand = { workout, rows, selectedRow, selectedRows, message, edit, attempt, hold }
  const { takenPart, copied, insert, insertText, paste } = usePieces({ ...hand, goToNew, targetBlock })
  const { swap, likesOf } = useSwap({ ...hand, scope: taking.scope })

  /** Takes the taken rows out, keeps the cursor near, and offers to undo. */
  function removeRows(): void {
    const edits = rowEdits(selectedRows.value)
    const at = rows.value.findIndex((r) => r.id === selectedRows.value[0]?.id)
    if (!edits || !edit(edits.remove)) return
    const near = rows.value[Math.min(at, rows.value.length - 1)]
    selection.value = near && { row: near.id, cell: -1 }
    message.value = { text: 'removed', undo: true }
  }

  return {
    id,
    loading,
    loadError,
    message,
    said,
    tool,
    workout,
    rows,
    lanes,
    ...taking,
    editing,
    adding,
    revision,
    saveState: autosave.state,
    saveDetail: autosave.detail,
    stored: autosave.stored,
    flush: autosave.flush,
    canUndo: history.canUndo,
    canRedo: history.canRedo,
    undo: history.undo,
    redo: history.redo,
    open,
    leave,
    edit,
    hold,
    editCells,
    nameOf,
    moveRows,
    drop,
    addMove,
    removeRows,
    swap,
    likesOf,
    keepBoth,
    keepMine,
    folded,
    toggleFold,
    goTo,
    takenPart,
    copied,
    insert,
    insertText,
    paste,
  }
})
