import { computed, ref, shallowRef, type ComputedRef, type Ref } from 'vue'
import { sameValue } from '@esfuerzo/core'
import { callCode, type CallError } from '@esfuerzo/contract'
import { reloadOnce } from '../shared/reloadOnce.ts'
import { useAutosave, type SaveState } from './useAutosave.ts'
import { useHistory } from './useHistory.ts'

/** A document as the server has it, with its revision number. */
export interface Revision<T> {
  document: T
  revision: number
}

/** Work on this device that was not stored, with its unanswered saves. */
export type Kept<T> = Revision<T> & { sent?: readonly T[] }

/** Such work found again, from this tab or a closed one. */
export type FoundWork<T> = Kept<T> & { key: string; at: number; own: boolean }

/** Where documents of a kind are stored, and their messages. */
export interface RevisionedParts<T> {
  /** The document shown before any is opened. */
  empty: T
  /** @throws {CallError} */
  read: (id: string) => Promise<Revision<T>>
  /** Saves over a revision and returns the new one. @throws {CallError} */
  save: (id: string, over: Revision<T>) => Promise<number>
  /** Stores a document as a separate one and returns its id. @throws {CallError} */
  copy: (document: T) => Promise<string>
  /** Closes the current revision, so that the next sitting starts another. @throws {CallError} */
  close: (id: string) => Promise<unknown>
  drafts: {
    keep: (id: string, draft: Kept<T> | undefined) => Promise<void>
    find: (id: string) => Promise<FoundWork<T>[]>
    drop: (key: string) => Promise<void>
  }
  /** Called before a loaded document is shown. */
  onLoad?: (document: T) => void
  /** What happened to work found again: restored, or kept as a copy beside another; and to the stored document. */
  onFound: (what: 'restored' | 'copied' | 'theirsCopied' | 'notCopied') => void
}

export interface Revisioned<T> {
  id: ComputedRef<string>
  document: ComputedRef<T>
  revision: ComputedRef<number>
  loading: ComputedRef<boolean>
  loadError: ComputedRef<CallError['code'] | undefined>
  /** Counts how often another document replaced the one on screen. */
  loads: ComputedRef<number>
  saveState: ComputedRef<SaveState>
  saveDetail: ComputedRef<string>
  /** The last stored document. */
  stored: ComputedRef<T>
  canUndo: ComputedRef<boolean>
  canRedo: ComputedRef<boolean>
  /** Applies the next document; consecutive steps with the same key are undone as one. */
  push: (next: T, merge?: string) => void
  undo: () => void
  redo: () => void
  flush: () => Promise<boolean>
  open: (id: string) => Promise<void>
  leave: () => Promise<void>
  keepBoth: () => Promise<string>
  keepMine: (theirs: Revision<T>) => Promise<void>
  /** The server's current document, to look at. @throws {CallError} */
  readStored: () => Promise<Revision<T>>
  /** Work of closed tabs besides what is on screen: each stays on the device until it is copied or discarded. */
  offered: ComputedRef<readonly FoundWork<T>[]>
  /** Stores offered work as a separate document and returns its id. @throws {CallError} then it is still offered */
  copyOffered: (work: FoundWork<T>) => Promise<string>
  /** Gives offered work up. */
  dropOffered: (work: FoundWork<T>) => Promise<void>
}

/** A store over it, as its pages have it. */
export type RevisionedStore<T> = {
  readonly [K in keyof Revisioned<T>]: Revisioned<T>[K] extends ComputedRef<infer V> ? V : Revisioned<T>[K]
}

/** A document on screen with its history, saving, drafts on the device, and a way to resolve a conflict. */
// oxlint-disable-next-line max-lines-per-function -- one state: what is on screen, and what becomes of it
export function useRevisioned<T>(parts: RevisionedParts<T>): Revisioned<T> {
  const id = ref('')
  const loading = ref(false)
  const loadError = ref<CallError['code']>()
  const revision = ref(1)
  const loads = ref(0)
  const loadedId = shallowRef('')
  const offered = shallowRef<readonly FoundWork<T>[]>([])
  /** The revision it was opened at: later changes deserve a revision of their own. */
  let openedAt = 1

  const readStored = () => parts.read(id.value)
  const history = useHistory<T>(parts.empty)
  const document = history.current
  const autosave = useAutosave<T>({
    document,
    revision,
    save: (now, from) => parts.save(id.value, { document: now, revision: from }),
    reload: readStored,
    keep: (now, sent) =>
      parts.drafts.keep(id.value, now && { revision: revision.value, document: now, ...(sent?.length && { sent }) }),
  })

  /** Opens a document; unsaved work on this device is restored with it. */
  async function open(next: string): Promise<void> {
    if (loadedId.value === next && autosave.state.value !== 'saved') return
    const again = loadedId.value === next
    loading.value = !again
    loadError.value = undefined
    try {
      const stored = await parts.read(next)
      // Back to a document that is still loaded, with its undo.
      if (again && stored.revision === revision.value) return
      id.value = loadedId.value = next
      revision.value = openedAt = stored.revision
      loads.value++
      parts.onLoad?.(stored.document)
      autosave.settle(stored.document)
      history.reset(stored.document)
      await takeUp(stored)
    } catch (error) {
      loadError.value = callCode(error)
      if (loadError.value === 'newer-document') reloadOnce()
    } finally {
      loading.value = false
    }
  }

  /**
   * Unsaved work continues from here, also if the stored revision is one of its own saves whose answer was lost; if somebody else has saved
   * since, it becomes a copy. It leaves the device only once it is stored. If several drafts were left, the latest is restored and the
   * others are offered.
   */
  async function takeUp(stored: Revision<T>): Promise<void> {
    offered.value = []
    const [latest, ...others] = await unstored(stored)
    if (!latest) return
    const isOurs = latest.sent?.some((sent) => sameValue(sent, stored.document))
    if (latest.revision === stored.revision || isOurs) {
      history.push(latest.document)
      const { sent } = latest
      await parts.drafts.keep(id.value, { revision: revision.value, document: latest.document, ...(sent && { sent }) })
      // This tab's own copy has just been written.
      if (!latest.own) await parts.drafts.drop(latest.key)
      parts.onFound('restored')
    } else
      try {
        await parts.copy(latest.document)
        await parts.drafts.drop(latest.key)
        parts.onFound('copied')
      } catch {
        others.unshift(latest)
        parts.onFound('notCopied')
      }
    offered.value = others
  }
  /** Work left behind that differs from what is stored; the rest is stored already. */
  async function unstored(stored: Revision<T>): Promise<FoundWork<T>[]> {
    const found = await parts.drafts.find(id.value)
    const same = found.filter((work) => sameValue(work.document, stored.document))
    for (const { key } of same) await parts.drafts.drop(key)
    return found.filter((work) => !same.includes(work))
  }
  const withoutOffered = (work: FoundWork<T>) => (offered.value = offered.value.filter((other) => other !== work))
  async function copyOffered(work: FoundWork<T>): Promise<string> {
    const copy = await parts.copy(work.document)
    await parts.drafts.drop(work.key)
    withoutOffered(work)
    return copy
  }
  async function dropOffered(work: FoundWork<T>): Promise<void> {
    await parts.drafts.drop(work.key)
    withoutOffered(work)
  }

  /** Saves the rest and closes its revision. */
  async function leave(): Promise<void> {
    if (!(await autosave.flush()) || revision.value === openedAt) return
    openedAt = revision.value
    // If this fails nothing is lost: the history only has one revision fewer.
    await parts.close(id.value).catch(() => undefined)
  }

  /** After a conflict: the document on screen becomes a copy, and the stored one is opened. */
  async function keepBoth(): Promise<string> {
    const copy = await parts.copy(document.value)
    parts.onFound('copied')
    await parts.drafts.keep(id.value, undefined)
    loadedId.value = ''
    return copy
  }

  /** After a conflict: the stored document becomes a copy, and the one on screen replaces it. */
  async function keepMine(theirs: Revision<T>): Promise<void> {
    await parts.copy(theirs.document)
    revision.value = theirs.revision
    await autosave.flush()
    parts.onFound('theirsCopied')
  }

  const { canUndo, canRedo, push, undo, redo } = history
  return {
    id: shown(id),
    document: shown(document),
    revision: shown(revision),
    loading: shown(loading),
    loadError: shown(loadError),
    loads: shown(loads),
    saveState: shown(autosave.state),
    saveDetail: shown(autosave.detail),
    stored: shown(autosave.stored),
    flush: autosave.flush,
    offered: shown(offered),
    copyOffered,
    dropOffered,
    ...{ canUndo, canRedo, push, undo, redo, open, leave, keepBoth, keepMine, readStored },
  }
}

/** Read-only: a document is changed through its edits. */
const shown = <V>(source: Readonly<Ref<V>>): ComputedRef<V> => computed(() => source.value)
