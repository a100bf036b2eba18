import { createStore, del, entries, set } from 'idb-keyval'
import { v4 as uuid } from 'uuid'
import * as z from 'zod/mini'
import { ProblemError, readDocument, writtenDocument, type DocumentKind } from '@esfuerzo/core'
import { keptAs } from '../shared/keptAs.ts'

/** Work that is on this device and not yet stored by the server. */
export interface Draft<T> {
  revision: number
  document: T
  /** What was sent and never answered. */
  sent?: readonly T[]
  /** When it was last written, in milliseconds. */
  at: number
}

const shape = z.looseObject({
  revision: z.number(),
  document: z.unknown(),
  sent: z.optional(z.array(z.unknown())),
  at: z.number(),
})

// One connection, so that what is written comes one after the other.
let opened: ReturnType<typeof createStore> | undefined
const database = () => (opened ??= createStore('esfuerzo-drafts', 'drafts'))

/** This tab's name, kept through a reload and not shared with other tabs. */
function tabId(): string {
  const known = sessionStorage.getItem('esfuerzo-tab')
  if (known) return known
  const id = uuid()
  sessionStorage.setItem('esfuerzo-tab', id)
  return id
}

const keyOf = (id: string, tab: string) => `${id}/${tab}`

/** A draft of another tab that was not written for this long belongs to a tab that is gone. */
const orphaned = 60_000

/** Drafts of a kind of document on this device, by the document's id. */
export interface Drafts<T> {
  /** Keeps what is on screen, or takes the kept copy away. A device without storage keeps nothing; the page still saves. */
  keep: (id: string, draft: Omit<Draft<T>, 'at'> | undefined) => Promise<void>
  /** Takes out the draft that this tab, or a tab that is gone, left behind; the latest first. */
  take: (id: string) => Promise<Draft<T> | undefined>
}

/** @returns where drafts of a kind are kept */
export function draftsOf<T>(kind: DocumentKind<T>): Drafts<T> {
  /** A kept draft as this page has it; undefined where it cannot be read, as one of a newer page: that one is left where it is. */
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
      const key = keyOf(id, tabId())
      try {
        if (draft) {
          const document = writtenDocument(kind, draft.document)
          const sent = draft.sent?.map((one) => writtenDocument(kind, one))
          await set(key, { ...draft, document, ...(sent && { sent }), at: Date.now() }, database())
        } else await del(key, database())
      } catch {
        // Private windows may refuse storage; the server's copy is then the only one.
      }
    },
    async take(id) {
      try {
        const all = (await entries<string, unknown>(database())).flatMap(([key, kept]): [string, Draft<T>][] => {
          const draft = keptAs<Draft<T>>(shape, kept)
          return draft ? [[key, draft]] : []
        })
        const mine = all
          .filter(
            ([key, draft]) =>
              key.startsWith(`${id}/`) && (key === keyOf(id, tabId()) || Date.now() - draft.at > orphaned),
          )
          .flatMap(([key, kept]): [string, Draft<T>][] => {
            const draft = read(kept)
            return draft ? [[key, draft]] : []
          })
          .sort(([, a], [, b]) => b.at - a.at)
        await Promise.all(mine.map(([key]) => del(key, database())))
        return mine[0]?.[1]
      } catch {
        return undefined
      }
    },
  }
}
