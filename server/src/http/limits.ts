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
  /** Wrong passwords for one account from one network, or from one device that signed in to it before. */
  account: Limit
  /** Wrong passwords for one account from anywhere: above this, a right one also needs a mailed link, on a device that is new to it. */
  guard: Limit
  /** Wrong passwords from one network, for any account: above it, the same. There is room for a school behind one address. */
  network: Limit
  /** Mailed links that are followed, by network. */
  links: Limit
  /** Messages requested from one network. */
  asked: Limit
  /** Messages of a kind to one address: the last one still works when no more are sent. */
  mail: Limit
  /** Sign-in links mailed to one address because of many wrong passwords. */
  signInMail: Limit
  /** Messages a teacher writes to others. */
  written: Limit
  /** Runs sent through a link; a class shares one. */
  runs: Limit
  /** Runs sent through a link from one network: a home, or a whole school; also per day, so that no network fills a link. */
  runsOfNetwork: Limit
  runsOfDay: Limit
  /** Wrong pupil codes by teacher and network, from a network without a recent right one. */
  codes: Limit
  /** Wrong codes by teacher and network, from a network with right ones: each child whose code was right there adds this many again. */
  codesOfKnown: Limit
  /** In how many networks one child's code adds tries. */
  networksOfPupil: Limit
  /** Wrong codes by teacher, from all networks together without a right one; the number depends on her pupils. */
  codesOfTeacher: { seconds: number }
  /** Sheets made for a link; a sheet that exists already is not counted. */
  sheets: Limit
}

const minute = 60
const hour = 60 * minute
const day = 24 * hour

export const defaultLimits: Limits = {
  account: { points: 10, seconds: 15 * minute },
  guard: { points: 30, seconds: 15 * minute },
  network: { points: 600, seconds: 15 * minute },
  links: { points: 60, seconds: 15 * minute },
  asked: { points: 20, seconds: hour },
  mail: { points: 5, seconds: hour },
  signInMail: { points: 1, seconds: hour },
  written: { points: 20, seconds: day },
  runs: { points: 3000, seconds: 10 * minute },
  runsOfNetwork: { points: 1200, seconds: 10 * minute },
  runsOfDay: { points: 1500, seconds: day },
  codes: { points: 30, seconds: day },
  codesOfKnown: { points: 10, seconds: 28 * day },
  networksOfPupil: { points: 3, seconds: 28 * day },
  codesOfTeacher: { seconds: 28 * day },
  sheets: { points: 60, seconds: 10 * minute },
}

/** A count kept by this server alone, for limits that need not be exact. */
export class LocalCounter {
  #limiter: RateLimiterMemory

  constructor(limit: Limit) {
    this.#limiter = new RateLimiterMemory({ points: limit.points, duration: limit.seconds })
  }

  /** Counts one. @throws {ServerError} `too-many-tries` above the limit */
  count = (key: string): Promise<void> => consume(this.#limiter, key)

  /** Takes back one count. */
  refund = async (key: string): Promise<void> => void (await this.#limiter.reward(key))
}

async function consume(limiter: RateLimiterAbstract, key: string): Promise<void> {
  try {
    await limiter.consume(key)
  } catch (error) {
    throw error instanceof RateLimiterRes ? new ServerError('too-many-tries') : error
  }
}

/** A count kept in the database and shared by all servers. Keys are hashed: no address or e-mail is stored. */
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

  /** Counts one. @throws {ServerError} `too-many-tries` above the limit */
  count = (key: string): Promise<void> => consume(this.#limiter, this.#key(key))

  /** Counts one if there is room. @returns whether there was */
  hasRoom = (key: string): Promise<boolean> =>
    this.count(key).then(
      () => true,
      (error: unknown) => {
        if (error instanceof ServerError) return false
        throw error
      },
    )

  /** Takes back some counts; others' stay. */
  async refund(key: string, points = 1): Promise<void> {
    await this.#limiter.reward(this.#key(key), points)
  }

  /** The count; negative if more was given back, undefined if nothing was counted yet. */
  async counted(key: string): Promise<number | undefined> {
    return (await this.#limiter.get(this.#key(key)))?.consumedPoints
  }

  /** Whether the limit is reached. */
  async isFull(key: string): Promise<boolean> {
    return ((await this.counted(key)) ?? 0) >= this.#limiter.points
  }
}
