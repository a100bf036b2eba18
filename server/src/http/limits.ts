import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { RateLimiterPostgres, RateLimiterRes } from 'rate-limiter-flexible'
import { ServerError } from './serverError.ts'

/** How often something may be tried. */
export interface Limit {
  points: number
  seconds: number
}

export interface Limits {
  /** Wrong sign-ins by account. */
  account: Limit
  /** Wrong sign-ins by address. */
  address: Limit
  /** Messages to one address. */
  mail: Limit
  /** Runs sent by link; a class shares one. */
  runs: Limit
}

export const defaultLimits: Limits = {
  account: { points: 10, seconds: 15 * 60 },
  address: { points: 60, seconds: 15 * 60 },
  mail: { points: 5, seconds: 60 * 60 },
  runs: { points: 600, seconds: 10 * 60 },
}

/** A count kept in the database, so that several servers share it. Keys are hashed: no address or e-mail is stored. */
export class Counter {
  #limiter: RateLimiterPostgres

  constructor(db: Knex, name: string, limit: Limit) {
    this.#limiter = new RateLimiterPostgres({
      storeClient: db,
      storeType: 'knex',
      tableName: 'limits',
      tableCreated: true,
      keyPrefix: name,
      points: limit.points,
      duration: limit.seconds,
    })
  }

  #key = (key: string) => createHash('sha256').update(key).digest('base64url')

  /** Counts one. @throws {ServerError} `too-many-tries` past the limit */
  async count(key: string): Promise<void> {
    try {
      await this.#limiter.consume(this.#key(key))
    } catch (error) {
      throw error instanceof RateLimiterRes ? new ServerError('too-many-tries') : error
    }
  }

  /** Forgets what was counted. */
  async clear(key: string): Promise<void> {
    await this.#limiter.delete(this.#key(key))
  }
}
