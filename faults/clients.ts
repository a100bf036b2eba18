import { randomUUID } from 'node:crypto'
import { cellsFor } from '../core/src/library/cellsFor.ts'
import {
  addStation,
  indexLibrary,
  newSession,
  readDocument,
  readSession,
  writtenDocument,
  sessionDocument,
} from '@esfuerzo/core'
import { runDocument, type Run } from '@esfuerzo/core/run'
import { libraryData } from '@esfuerzo/library'
import { addTeacher } from '../server/src/accounts/store.ts'
import { hashPassword } from '../server/src/accounts/password.ts'
import { openDatabase } from '../server/src/base/database.ts'
import type { Found } from './book.ts'
import type { Saver, Sender, Titled } from './load.ts'

const library = indexLibrary(libraryData)
const password = 'a password for the trial'

/** The clients of a trial, and what the server has of theirs in the end. */
export interface Clients {
  url: string
  /** A teacher with a session of her own that was sent home. */
  settle: (n: number) => Promise<{ saver: Saver; sender: Sender }>
  /** The stored sessions and results, to compare with the clients' book. */
  found: (ids: readonly string[]) => Promise<Found>
}

/**
 * Sends a server request as a page does. @throws on an error response
 *
 * @param origin of the page
 */
export const asker =
  (url: string, origin = url) =>
  async (path: string, method: string, body?: unknown, cookie = ''): Promise<{ body: never; cookie: string }> => {
    const response = await fetch(url + path, {
      method,
      headers: { origin, 'content-type': 'application/json', cookie },
      ...(body !== undefined && { body: JSON.stringify(body) }),
      signal: AbortSignal.timeout(30_000),
    })
    if (!response.ok) throw new Error(`${method} ${path} was answered ${response.status} ${await response.text()}`)
    const set = response.headers
      .getSetCookie()
      .map((one) => one.split(';')[0]!)
      .join('; ')
    return { body: (await response.json()) as never, cookie: set || cookie }
  }

/** @param where addresses of the pages and the database, and the pages' origin if different */
export function clientsOf({
  url,
  databaseUrl,
  origin,
}: {
  url: string
  databaseUrl: string
  origin?: string
}): Clients {
  const ask = asker(url, origin)

  async function settle(n: number): Promise<{ saver: Saver; sender: Sender }> {
    const email = `teacher-${n}@island.example`
    const db = openDatabase(databaseUrl)
    await addTeacher(db, { id: randomUUID(), email, name: 'Trial' }, 'UTC', await hashPassword(password))
    await db.destroy()
    const { cookie } = await ask('/api/session', 'POST', { email, password })
    const empty = newSession('Save 0', [[0, 1], [4]], 20, library.version)
    const session = addStation(empty, 'b2', cellsFor(library.moves.get('pogo')!, empty.groups, 'intervals'))
    const document = writtenDocument(sessionDocument, session) as Titled
    const made = await ask('/api/workouts', 'POST', { document }, cookie)
    const { id } = made.body as { id: string }
    const sent = await ask(`/api/workouts/${id}/publications`, 'POST', { revision: 1, days: 7 }, cookie)
    const { token, sha256 } = sent.body as { token: string; sha256: string }
    const run: Run = {
      format: 'esfuerzo.run',
      version: 3,
      id: randomUUID(),
      publication: sha256,
      group: 'g1',
      startedAt: new Date(Date.now() - 600_000).toISOString(),
      finishedAt: new Date().toISOString(),
      zone: 'UTC',
      steps: { done: 1, skipped: 0, easier: 0 },
      results: [],
    }
    return { saver: { cookie, id, document, revision: 1 }, sender: { token, run } }
  }

  async function found(ids: readonly string[]): Promise<Found> {
    const db = openDatabase(databaseUrl)
    const sessions: { id: string; revision: number; document: unknown }[] = await db('workouts').whereIn('id', ids)
    const states: { workout_id: string; document: unknown }[] = await db('workout_versions')
      .whereIn('workout_id', ids)
      .orderBy('place')
    const runs: { document: unknown }[] = await db('runs as r')
      .join('publications as p', 'p.id', 'r.publication_id')
      .whereIn('p.workout_id', ids)
      .select('r.document')
    await db.destroy()
    const history = (id: string) => states.filter((s) => s.workout_id === id).map((s) => readSession(s.document).title)
    return {
      saves: new Map(
        sessions.map(({ id, revision, document }) => [
          id,
          { title: readSession(document).title, revision, history: history(id) },
        ]),
      ),
      runs: runs.map(({ document }) => {
        const { id, steps } = readDocument(runDocument, document)
        return { id, said: String(steps.done) }
      }),
    }
  }

  return { url, settle, found }
}
