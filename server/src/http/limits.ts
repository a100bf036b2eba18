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
  /** Wrong sign-ins by network, into whatever accounts. */
  address: Limit
  /** Wrong sign-ins by network into one account: whoever else tries that account is not touched. */
  account: Limit
  /** Wrong sign-ins into one account from anywhere: past it the right password wants a mailed link too. */
  guard: Limit
  /** Messages asked for by one network. */
  asked: Limit
  /** Messages of a kind to one address: the last of them is still good when no more are sent. */
  mail: Limit
  /** Messages a teacher writes to others. */
  written: Limit
  /** Runs sent by link; a class shares one. */
  runs: Limit
  /** Runs sent by link from one address: a home, or a school's room. */
  runsOfHome: Limit
  /** Wrong codes of pupils by link and network. */
  codes: Limit
  /** Wrong codes of pupils by link, from anywhere. */
  codesOfLink: Limit
  /** Sheets made for a link; one that was made before is not counted. */
  sheets: Limit
}

export const defaultLimits: Limits = {
  address: { points: 60, seconds: 15 * 60 },
  account: { points: 10, seconds: 15 * 60 },
  guard: { points: 30, seconds: 15 * 60 },
  asked: { points: 20, seconds: 60 * 60 },
  mail: { points: 5, seconds: 60 * 60 },
  written: { points: 20, seconds: 24 * 60 * 60 },
  runs: { points: 600, seconds: 10 * 60 },
  runsOfHome: { points: 150, seconds: 10 * 60 },
  codes: { points: 10, seconds: 60 * 60 },
  codesOfLink: { points: 200, seconds: 60 * 60 },
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

  /** Takes one back that was counted. */
  refund = async (key: string): Promise<void> => void (await this.#limiter.reward(key))
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

  /** Counts one where there is room. @returns whether there was */
  hasRoom = (key: string): Promise<boolean> =>
    this.count(key).then(
      () => true,
      (error: unknown) => {
        if (error instanceof ServerError) return false
        throw error
      },
    )

  /** Takes one back that was counted: others' stay. */
  async refund(key: string): Promise<void> {
    await this.#limiter.reward(this.#key(key))
  }

  /** Whether the limit is reached. */
  async isFull(key: string): Promise<boolean> {
    const counted = await this.#limiter.get(this.#key(key))
    return (counted?.consumedPoints ?? 0) >= this.#limiter.points
  }
}
