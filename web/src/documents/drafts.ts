import { createStore, del, entries, set } from 'idb-keyval'
import { v4 as uuid } from 'uuid'
import { ProblemError, readWorkout, workoutDocument, writtenDocument, type Workout } from '@esfuerzo/core'

/** Work that is on this device and not yet stored by the server. */
export interface Draft {
  revision: number
  document: Workout
  /** When it was last written, in milliseconds. */
  at: number
}

const database = () => createStore('esfuerzo-drafts', 'drafts')

/** This tab's name, kept through a reload and not shared with other tabs. */
function tabId(): string {
  const known = sessionStorage.getItem('esfuerzo-tab')
  if (known) return known
  const id = uuid()
  sessionStorage.setItem('esfuerzo-tab', id)
  return id
}

const keyOf = (workoutId: string, tab: string) => `${workoutId}/${tab}`

/** A draft of another tab that was not written for this long belongs to a tab that is gone. */
const orphaned = 60_000

/** Keeps what is on screen, or takes the kept copy away. A device without storage keeps nothing; the page still saves. */
export async function keepDraft(workoutId: string, draft: Omit<Draft, 'at'> | undefined): Promise<void> {
  const key = keyOf(workoutId, tabId())
  try {
    if (draft) {
      const document = writtenDocument(workoutDocument, draft.document)
      await set(key, { ...draft, document, at: Date.now() }, database())
    } else await del(key, database())
  } catch {
    // Private windows may refuse storage; the server's copy is then the only one.
  }
}

/** A kept draft as this page has it; undefined where it cannot be read, as one of a newer page: that one is left where it is. */
function readDraft(draft: Draft): Draft | undefined {
  try {
    return { ...draft, document: readWorkout(draft.document) }
  } catch (error) {
    if (error instanceof ProblemError) return undefined
    throw error
  }
}

/** Takes out the draft that this tab, or a tab that is gone, left behind; the latest first. */
export async function takeDraft(workoutId: string): Promise<Draft | undefined> {
  try {
    const all = await entries<string, Draft>(database())
    const mine = all
      .filter(
        ([key, draft]) =>
          key.startsWith(`${workoutId}/`) && (key === keyOf(workoutId, tabId()) || Date.now() - draft.at > orphaned),
      )
      .flatMap(([key, kept]): [string, Draft][] => {
        const draft = readDraft(kept)
        return draft ? [[key, draft]] : []
      })
      .sort(([, a], [, b]) => b.at - a.at)
    await Promise.all(mine.map(([key]) => del(key, database())))
    return mine[0]?.[1]
  } catch {
    return undefined
  }
}
