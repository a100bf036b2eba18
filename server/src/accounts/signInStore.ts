import connectPgSimple from 'connect-pg-simple'
import session, { type SessionData } from 'express-session'
import type { Pool } from 'pg'
import type { Logger } from 'pino'

const PgStore = connectPgSimple(session)

/** Sign-ins in the database. That one could not be kept alive longer is no reason to fail a request that is answered. */
class SignInStore extends PgStore {
  readonly #log: Logger

  constructor(pool: Pool, log: Logger) {
    super({
      pool,
      tableName: 'sign_ins',
      pruneSessionInterval: false,
      errorLog: (...words) => log.warn({ words }, 'sign-in store'),
    })
    this.#log = log
  }

  override touch(sid: string, data: SessionData, done?: () => void): void {
    super.touch(sid, data, (error?: unknown) => {
      if (error) this.#log.debug('a sign-in could not be kept alive')
      done?.()
    })
  }
}

export const signInStore = (pool: Pool, log: Logger): session.Store => new SignInStore(pool, log)
