import { createStore, del, entries, set } from 'idb-keyval'
import type { Run } from '@esfuerzo/core'
import { CallError, familyClient } from '@esfuerzo/contract/family'

interface Queued {
  token: string
  run: Run
}

const client = familyClient((input, init) => fetch(input, init))
const queue = () => createStore('esfuerzo-runs', 'queue')

/** Refused for good: trying again would not help. */
const hopeless = new Set(['invalid', 'not-found', 'ended', 'too-big'])

/**
 * Sends a run, and keeps it on the device until the server has it. Its id was made here, so that sending it again
 * never stores it twice.
 *
 * @returns `sent`, or `kept` when it will be sent later by itself
 * @throws {CallError} where the server will never take it
 */
export async function sendRun(token: string, run: Run): Promise<'sent' | 'kept'> {
  await set(run.id, { token, run } satisfies Queued, queue()).catch(() => undefined)
  return send({ token, run })
}

async function send({ token, run }: Queued): Promise<'sent' | 'kept'> {
  try {
    await client.sendRun(token, run)
  } catch (error) {
    if (!(error instanceof CallError)) throw error
    if (!hopeless.has(error.code)) return 'kept'
    await del(run.id, queue()).catch(() => undefined)
    throw error
  }
  await del(run.id, queue()).catch(() => undefined)
  return 'sent'
}

/** Sends whatever is still on the device. */
export async function sendQueued(): Promise<void> {
  const waiting = await entries<string, Queued>(queue()).catch(() => [])
  for (const [, queued] of waiting) await send(queued).catch(() => undefined)
}
