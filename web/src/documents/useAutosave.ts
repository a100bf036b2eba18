import { ref, shallowRef, watch, type Ref, type ShallowRef } from 'vue'
import { sameValue } from '@esfuerzo/core'
import { callCode, CallError, retryable } from '@esfuerzo/contract'
import { senderOf } from '../shared/sender.ts'

/**
 * `saved` everything is stored · `unsaved` about to be saved · `saving` in progress · `away` the server or its database cannot be reached,
 * retried automatically · `signed-out` needs a sign-in · `conflict` saved elsewhere meanwhile · `refused` the server does not accept it ·
 * `newer` the page and the server are a release apart, retried automatically
 */
export type SaveState = 'saved' | 'unsaved' | 'saving' | 'away' | 'signed-out' | 'conflict' | 'refused' | 'newer'

export interface AutosaveParts<T> {
  /** The document on screen. */
  document: Readonly<Ref<T>>
  /** The revision it started from. */
  revision: Ref<number>
  /** Stores it and returns the new revision. @throws {CallError} */
  save: (document: T, revision: number) => Promise<number>
  /** The stored document, to look at after a conflict. @throws {CallError} */
  reload: () => Promise<{ document: T; revision: number }>
  /**
   * Keeps a copy on the device until it is stored; undefined deletes the copy.
   *
   * @param sent what is being sent, or was sent and never answered: one of them may be stored by now
   */
  keep: (document: T | undefined, sent?: readonly T[]) => Promise<void>
  /** Milliseconds without a change before a save. */
  quiet?: number
  /** Milliseconds before the first retry; doubles up to ten seconds. */
  retry?: number
}

export interface Autosave<T> {
  state: Ref<SaveState>
  /** Why it was refused or could not be sent. */
  detail: Ref<string>
  /** The last stored document: where the work on screen started to differ. */
  stored: Readonly<ShallowRef<T>>
  /** Saves at once and waits for it. True if everything is stored. */
  flush: () => Promise<boolean>
  /** Takes a document as stored before it is shown: it was just loaded. */
  settle: (loaded: T) => void
  stop: () => void
}

/** Number of unanswered saves kept with a draft, so that a reopened page recognizes them as its own. */
const mostSent = 3

/** Saves a document automatically: after a pause, one save at a time, and again while the server is unreachable. */
// oxlint-disable-next-line max-lines-per-function -- one state machine: its states and what moves between them
export function useAutosave<T>({
  document,
  revision,
  save,
  reload,
  keep,
  quiet = 700,
  retry,
}: AutosaveParts<T>): Autosave<T> {
  const state = ref<SaveState>('saved')
  const detail = ref('')
  const stored = shallowRef(document.value) as ShallowRef<T>
  /** Sent since the last answer: a save whose answer was lost may still have been stored. */
  let sentUnanswered: T[] = []

  const sender = senderOf(attempt, quiet, retry)

  async function attempt(): Promise<boolean> {
    while (document.value !== stored.value) {
      const sent = document.value
      state.value = 'saving'
      sentUnanswered.push(sent)
      // The page may close before the answer arrives.
      void keep(sent, sentUnanswered.slice(-mostSent))
      try {
        revision.value = await save(sent, revision.value)
        stored.value = sent
        sentUnanswered = []
        sender.arrived()
        if (document.value === sent) await keep(undefined)
      } catch (error) {
        try {
          if (!(await wasOurs(error))) return failed(error)
        } catch (unseen) {
          // The stored document could not be read; that is no conflict yet.
          return failed(unseen)
        }
      }
    }
    state.value = 'saved'
    detail.value = ''
    return true
  }

  /** Whether the conflict is one of our own saves whose answer was lost; then it counts as stored. */
  async function wasOurs(error: unknown): Promise<boolean> {
    if (!(error instanceof CallError && error.code === 'conflict')) return false
    const there = await reload()
    const ours = sentUnanswered.findLast((sent) => sameValue(sent, there.document))
    if (ours === undefined) return false
    revision.value = there.revision
    stored.value = ours
    sentUnanswered = []
    if (document.value === ours) await keep(undefined)
    return true
  }

  function failed(error: unknown): false {
    const code = callCode(error)
    detail.value = error instanceof Error ? error.message : String(error)
    if (retryable(code)) {
      state.value = code === 'newer-document' ? 'newer' : 'away'
      sender.again()
    } else if (code === 'sign-in-needed') state.value = 'signed-out'
    else state.value = code === 'conflict' ? 'conflict' : 'refused'
    return false
  }

  const unwatch = watch(
    document,
    (now) => {
      if (now === stored.value) return
      void keep(now, sentUnanswered.slice(-mostSent))
      if (state.value === 'conflict') return
      const trying = state.value === 'away' || state.value === 'newer'
      if (state.value !== 'saving' && !trying) state.value = 'unsaved'
      if (!trying) sender.soon()
    },
    { flush: 'sync' },
  )

  return {
    state,
    detail,
    stored,
    flush: sender.now,
    settle(loaded) {
      sender.cancel()
      stored.value = loaded
      sentUnanswered = []
      state.value = 'saved'
      detail.value = ''
    },
    stop() {
      sender.cancel()
      unwatch()
    },
  }
}
