import { shallowRef, type ShallowRef } from 'vue'
import { publicationSchema, type Publication } from '@esfuerzo/core/publication'
import { CallError, familyClient } from '@esfuerzo/contract/family'
import { keepSession, keptSession } from './kept.ts'

/** A session behind a link, or why it cannot be shown. */
export interface LinkedSession {
  token: string
  sha256: string
  publication: Publication
  /** Of the class the link is for. */
  grades?: number[] | undefined
  /** Whether children have codes. */
  codes?: boolean | undefined
  /** Until which day results are kept. */
  keptUntil?: string | undefined
  /** Shown from this device: the link has ended, or the network is away. */
  kept?: 'ended' | 'offline'
}

const client = familyClient((input, init) => fetch(input, init))
const sessions = new Map<string, LinkedSession>()

/**
 * Opens the session of a link. A session opened here before is shown from this device if the network is away, or if its link has ended.
 *
 * @throws {CallError} `not-found`, `ended`, `offline`, `unexpected`
 */
export async function followLink(token: string): Promise<LinkedSession> {
  const known = sessions.get(token)
  if (known) return known
  // An impossible token need not be asked about.
  if (!/^[A-Za-z0-9_-]{22}$/.test(token)) throw new CallError('not-found', '')
  const before = await keptSession(token)
  let session: LinkedSession
  try {
    const { sha256, title, endsAt, grades, codes, keptUntil } = await client.resolveLink(token)
    const publication = before?.sha256 === sha256 ? before.publication : readPublication(await client.snapshot(sha256))
    session = { token, sha256, publication, grades, codes, keptUntil }
    await keepSession({ ...session, title, endsAt, openedAt: Date.now() })
  } catch (error) {
    if (!before || !(error instanceof CallError)) throw error
    const { sha256, publication, grades, codes, keptUntil } = before
    session = {
      token,
      sha256,
      publication,
      grades,
      codes,
      keptUntil,
      kept: error.code === 'ended' ? 'ended' : 'offline',
    }
  }
  sessions.set(token, session)
  return session
}

function readPublication(data: unknown): Publication {
  const parsed = publicationSchema.safeParse(data)
  if (!parsed.success) throw new CallError('unexpected', parsed.error.message)
  return parsed.data
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
