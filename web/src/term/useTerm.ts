import { defineStore } from 'pinia'
import { ref } from 'vue'
import { newTerm, termDocument, type Term } from '@esfuerzo/core/term'
import { draftsOf } from '../documents/drafts.ts'
import { useRevisioned } from '../documents/useRevisioned.ts'
import { client } from '../shared/client.ts'
import { i18n } from '../words/i18n.ts'

/** The term on screen: its history, saving, and resolving a conflict. */
export const useTerm = defineStore('term', () => {
  /** What became of restored work. */
  const found = ref<'restored' | 'copied' | 'theirsCopied' | 'notCopied'>()
  const revisioned = useRevisioned<Term>({
    empty: newTerm('…', '2027-01-04'),
    read: (id) => client('readTerm', { params: { id } }),
    save: async (id, body) => (await client('saveTerm', { params: { id }, body })).revision,
    copy: async (document) => {
      const title = i18n.global.t('copyTitle', { title: document.title.slice(0, 100) })
      return (await client('createTerm', { body: { document: { ...document, title } } })).id
    },
    close: (id) => client('keepTermRevision', { params: { id } }),
    drafts: draftsOf(termDocument),
    onFound: (what) => (found.value = what),
  })
  /** Changes the term by one edit; an edit that changes nothing adds no undo step. */
  const edit = (change: (term: Term) => Term, merge?: string): void =>
    revisioned.push(change(revisioned.document.value), merge)
  return { ...revisioned, found, edit }
})
