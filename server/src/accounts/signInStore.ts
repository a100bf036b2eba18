import connectPgSimple from 'connect-pg-simple'
import session, { type SessionData } from 'express-session'
import { LRUCache } from 'lru-cache'
import type { Pool } from 'pg'
import type { Logger } from 'pino'
import { loggedError } from '../http/logging.ts'

const PgStore = connectPgSimple(session)

/** Milliseconds between two renewals of a sign-in: it lasts for weeks, and each write is a commit. */
const keptFor = 60 * 60 * 1000

/** Sign-ins in the database, each extended at most once an hour. A failed extension does not fail a request that is already answered. */
class SignInStore extends PgStore {
  readonly #log: Logger
  readonly #kept = new LRUCache<string, true>({ max: 20_000, ttl: keptFor })

  constructor(pool: Pool, log: Logger) {
    super({
      pool,
      tableName: 'sign_ins',
      pruneSessionInterval: false,
      errorLog: (...words) => log.warn({ words: words.map(loggedError) }, 'sign-in store'),
    })
    this.#log = log
  }

  override touch(sid: string, data: SessionData, done?: () => void): void {
    if (this.#kept.has(sid)) return done?.()
    super.touch(sid, data, (error?: unknown) => {
      if (error) this.#log.debug('a sign-in could not be kept alive')
      else this.#kept.set(sid, true)
      done?.()
    })
  }
}

export const signInStore = (pool: Pool, log: Logger): session.Store => new SignInStore(pool, log)
