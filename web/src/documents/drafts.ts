import * as z from 'zod/mini'
import { ProblemError, readDocument, writtenDocument, type DocumentKind } from '@esfuerzo/core'
import { deviceStore } from '../shared/device/deviceStore.ts'
import { isOwners, mayKeep, ownerNow } from '../shared/device/owner.ts'
import { tabId, tabsThere } from '../shared/device/tab.ts'
import { keptAs } from '../shared/keptAs.ts'

/** Work on this device that the server has not stored yet. */
export interface Draft<T> {
  revision: number
  document: T
  /** Saves that were sent and not answered. */
  sent?: readonly T[]
  /** When it was last written, in milliseconds. */
  at: number
  /** Id of the teacher it belongs to. */
  owner?: string
}

/** A draft found on the device, by its key. */
export interface FoundDraft<T> extends Draft<T> {
  key: string
  /** Whether it is this tab's. */
  own: boolean
}

export const draftShape = z.looseObject({
  revision: z.number(),
  document: z.unknown(),
  sent: z.optional(z.array(z.unknown())),
  at: z.number(),
  owner: z.optional(z.string()),
})

const store = deviceStore('drafts')
const keyOf = (id: string, tab: string) => `${id}/${tab}`

/** Drafts of a kind of document on this device, by the document's id. */
export interface Drafts<T> {
  /** Stores what is on screen, or deletes this tab's copy. A device without storage keeps nothing; the page still saves. */
  keep: (id: string, draft: Omit<Draft<T>, 'at' | 'owner'> | undefined) => Promise<void>
  /** Drafts left by this tab or by closed tabs; the latest first. They stay where they are. */
  find: (id: string) => Promise<FoundDraft<T>[]>
  /** Deletes a draft: it was saved, copied or discarded. */
  drop: (key: string) => Promise<void>
}

/** @returns where drafts of a kind are stored */
export function draftsOf<T>(kind: DocumentKind<T>): Drafts<T> {
  /** A stored draft as this page reads it; undefined if it can't, such as one of a newer page, which stays where it is. */
  function read(draft: Draft<T>): Draft<T> | undefined {
    try {
      const sent = draft.sent?.map((one) => readDocument(kind, one))
      return { ...draft, document: readDocument(kind, draft.document), ...(sent && { sent }) }
    } catch (error) {
      if (error instanceof ProblemError) return undefined
      throw error
    }
  }
  return {
    async keep(id, draft) {
      try {
        const key = keyOf(id, await tabId())
        if (draft && !mayKeep()) return
        if (draft) {
          const document = writtenDocument(kind, draft.document)
          const sent = draft.sent?.map((one) => writtenDocument(kind, one))
          await store.set(key, { ...draft, document, ...(sent && { sent }), at: Date.now(), owner: ownerNow() })
        } else await store.remove(key)
      } catch {
        // Private windows may refuse storage; the server's copy is then the only one.
      }
    },
    async find(id) {
      try {
        const [own, isThere] = await Promise.all([tabId(), tabsThere()])
        const found = (await store.entries(`${id}/`)).flatMap(([key, value]): FoundDraft<T>[] => {
          const kept = keptAs<Draft<T>>(draftShape, value)
          const tab = key.slice(id.length + 1)
          if (!kept || !isOwners(kept) || (tab !== own && isThere(tab, kept.at))) return []
          const draft = read(kept)
          return draft ? [{ ...draft, key, own: tab === own }] : []
        })
        return found.sort((a, b) => b.at - a.at)
      } catch {
        return []
      }
    },
    drop: (key) => store.remove(key).catch(() => undefined),
  }
}
