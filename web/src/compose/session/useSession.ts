import { defineStore } from 'pinia'
import { newSession, sessionDocument, type Session } from '@esfuerzo/core'
import { watch } from 'vue'
import { draftsOf } from '../../documents/drafts.ts'
import { useRevisioned } from '../../documents/useRevisioned.ts'
import { library, takeOwnMoves } from '../../repertoire/library.ts'
import { useRepertoire } from '../../repertoire/store.ts'
import { useSettings } from '../../settings/store.ts'
import { client } from '../../shared/client.ts'
import { i18n } from '../../words/i18n.ts'
import { useMessages } from '../useMessages.ts'

/** The session on screen: its history, saving, and resolving a conflict. It is changed only by edits. */
export const useSession = defineStore('session', () => {
  const messages = useMessages()
  const settings = useSettings()
  const repertoire = useRepertoire()
  const {
    document: session,
    open,
    ...rest
  } = useRevisioned<Session>({
    empty: newSession('…', [[0]], 20, library.version),
    read: (id) => client('readSession', { params: { id } }),
    save: async (id, body) => (await client('saveSession', { params: { id }, body })).revision,
    copy: async (document) => {
      const title = i18n.global.t('copyTitle', { title: document.title.slice(0, 100) })
      return (await client('createSession', { body: { document: { ...document, title } } })).id
    },
    close: (id) => client('keepRevision', { params: { id }, body: {} }),
    drafts: draftsOf(sessionDocument),
    onLoad: (document) => takeOwnMoves('session', document.moves ?? []),
    onFound: (text) => messages.say({ text }),
  })
  // A text may bring unknown exercises; they are available once the session has them.
  watch(
    () => session.value.moves,
    (moves) => takeOwnMoves('session', moves ?? []),
    { flush: 'sync' },
  )
  return {
    ...rest,
    document: session,
    /** Opens a session with the school's settings and the exercises. */
    open: (id: string): Promise<void> => {
      void settings.load()
      if (!repertoire.loaded) void repertoire.load()
      return open(id)
    },
  }
})
