import { shallowRef, type ShallowRef } from 'vue'
import { publicationSchema, type Publication } from '@esfuerzo/core'
import { CallError } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'

/** A session behind a link, or why it cannot be shown. */
export interface LinkedSession {
  token: string
  sha256: string
  publication: Publication
}

const sessions = new Map<string, LinkedSession>()

/** Follows a link to its session. @throws {CallError} `not-found`, `ended`, `offline`, `unexpected` */
export async function followLink(token: string): Promise<LinkedSession> {
  const known = sessions.get(token)
  if (known) return known
  // A token that cannot be one need not be asked about.
  if (!/^[A-Za-z0-9_-]{22}$/.test(token)) throw new CallError('not-found', '')
  const { sha256 } = await client('resolveLink', { params: { token } })
  const parsed = publicationSchema.safeParse(await client('snapshot', { params: { sha256 } }))
  if (!parsed.success) throw new CallError('unexpected', parsed.error.message)
  const session = { token, sha256, publication: parsed.data }
  sessions.set(token, session)
  return session
}

/** The session of a page's token. */
export function useLinkedSession(token: string): {
  session: ShallowRef<LinkedSession | undefined>
  error: ShallowRef<CallError['code'] | undefined>
  load: () => Promise<void>
} {
  const session = shallowRef<LinkedSession>()
  const error = shallowRef<CallError['code']>()
  async function load() {
    error.value = undefined
    try {
      session.value = await followLink(token)
    } catch (thrown) {
      error.value = thrown instanceof CallError ? thrown.code : 'unexpected'
    }
  }
  void load()
  return { session, error, load }
}
