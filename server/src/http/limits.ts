import { createHash } from 'node:crypto'
import type { Knex } from 'knex'
import { RateLimiterMemory, RateLimiterPostgres, RateLimiterRes, type RateLimiterAbstract } from 'rate-limiter-flexible'
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
  /** Runs sent by link from one address: a home, or a school's room. */
  runsOfHome: Limit
  /** Sheets made for a link; one that was made before is not counted. */
  sheets: Limit
}

export const defaultLimits: Limits = {
  account: { points: 10, seconds: 15 * 60 },
  address: { points: 60, seconds: 15 * 60 },
  mail: { points: 5, seconds: 60 * 60 },
  runs: { points: 600, seconds: 10 * 60 },
  runsOfHome: { points: 150, seconds: 10 * 60 },
  sheets: { points: 60, seconds: 10 * 60 },
}

/** A count kept by this server alone: of what is only to be kept within bounds. */
export class LocalCounter {
  #limiter: RateLimiterMemory

  constructor(limit: Limit) {
    this.#limiter = new RateLimiterMemory({ points: limit.points, duration: limit.seconds })
  }

  /** Counts one. @throws {ServerError} `too-many-tries` past the limit */
  count = (key: string): Promise<void> => consume(this.#limiter, key)
}

async function consume(limiter: RateLimiterAbstract, key: string): Promise<void> {
  try {
    await limiter.consume(key)
  } catch (error) {
    throw error instanceof RateLimiterRes ? new ServerError('too-many-tries') : error
  }
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
  count = (key: string): Promise<void> => consume(this.#limiter, this.#key(key))

  /** Forgets what was counted. */
  async clear(key: string): Promise<void> {
    await this.#limiter.delete(this.#key(key))
  }
}
