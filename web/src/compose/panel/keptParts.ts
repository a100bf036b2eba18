import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { type Part } from '@esfuerzo/core'
import { CallError, type KeptPart } from '@esfuerzo/contract'
import { client } from '../../shared/client.ts'
import { useMessages } from '../useMessages.ts'

/** The sections and blocks a teacher saved for reuse. */
export const useKeptParts = defineStore('kept-parts', () => {
  const parts = shallowRef<KeptPart[]>()
  const error = shallowRef<CallError['code']>()
  const messages = useMessages()

  /** Runs a call; an error is shown, and the saved parts stay unchanged. */
  async function tried<T>(call: () => Promise<T>): Promise<T | undefined> {
    error.value = undefined
    try {
      return await call()
    } catch (thrown) {
      error.value = thrown instanceof CallError ? thrown.code : 'unexpected'
      messages.say({ text: `errors.${error.value}` })
      return undefined
    }
  }

  async function load(): Promise<void> {
    if (parts.value) return
    const found = await tried(() => client('listShelf', {}))
    if (found) parts.value = found.parts
  }

  async function keep(name: string, part: Part): Promise<void> {
    await load()
    const kept = await tried(() => client('keepPart', { body: { name: name.slice(0, 120), part } }))
    if (!kept) return
    parts.value = [kept, ...(parts.value ?? [])]
    messages.say({ text: 'kept', params: { name: kept.name } })
  }

  async function rename(id: string, name: string): Promise<void> {
    const renamed = await tried(() => client('renamePart', { params: { id }, body: { name } }))
    if (renamed) parts.value = parts.value?.map((p) => (p.id === id ? renamed : p))
  }

  /** Removes a saved part; the returned function restores it. */
  async function remove(piece: KeptPart): Promise<(() => Promise<void>) | undefined> {
    const gone = await tried(() => client('removePart', { params: { id: piece.id } }))
    if (!gone) return undefined
    parts.value = parts.value?.filter((p) => p.id !== piece.id)
    return () => keep(piece.name, piece.part)
  }

  return { parts, error, load, keep, rename, remove }
})
