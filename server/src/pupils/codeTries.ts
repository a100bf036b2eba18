import type { Knex } from 'knex'
import { codeCount, codeLengths } from '@esfuerzo/core/classBook'
import { Counter, type Limits } from '../http/limits.ts'
import { ServerError } from '../http/serverError.ts'

/** Windows of {@link Limits.codesOfTeacher} in a year. */
const windows = 13
/** Highest chance that guesses at full limits, from any number of networks, find one of a teacher's codes within a year. Ours. */
export const guessedAYear = 1 / 1000
/** The share for networks that have never given a right code. The rest is for networks where a child helps to guess. */
const ofStrangers = 0.9
/** Most wrong short codes by teacher in a window: there are too few such codes to promise anything. Ours. */
const shortTries = 100

/**
 * How many wrong codes all networks without a right one may try together in one window.
 *
 * @param pupils how many codes exist
 * @example strangersTries(25) // 529
 */
export const strangersTries = (pupils: number): number =>
  Math.max(1, Math.floor((guessedAYear * ofStrangers * codeCount(codeLengths.now)) / windows / Math.max(1, pupils)))

/** Where a code is tried. */
export interface CodeTry {
  teacherId: string
  /** See `networkOf`. */
  network: string
  /** The code's characters, as far as it is one. */
  length: number
  /** How many codes exist. */
  pupils: number
}

/**
 * Counts wrong codes, not right ones. A network from which the teacher's children have given right codes has tries of its own, more with
 * each child; all others share the tries allowed for a year of guessing. So a school behind one address gets in, and no number of networks
 * can find a code.
 */
export class CodeTries {
  readonly #strange: Counter
  readonly #known: Counter
  readonly #all: Counter
  readonly #networks: Counter
  readonly #seen: Counter
  readonly #earned: number

  constructor(db: Knex, limits: Limits) {
    const unbounded = (name: string) =>
      new Counter(db, name, { points: Number.MAX_SAFE_INTEGER, seconds: limits.codesOfTeacher.seconds })
    this.#strange = new Counter(db, 'code-wrong', limits.codes)
    this.#known = new Counter(db, 'code-known', limits.codesOfKnown)
    this.#all = unbounded('code-all')
    this.#seen = unbounded('code-seen')
    this.#networks = new Counter(db, 'code-networks', limits.networksOfPupil)
    this.#earned = limits.codesOfKnown.points
  }

  #place = ({ teacherId, network }: CodeTry) => `${teacherId} ${network}`

  #isSpent(attempt: CodeTry, counted: number): boolean {
    return counted >= (attempt.length === codeLengths.before ? shortTries : strangersTries(attempt.pupils))
  }
  #shared = ({ teacherId, length }: CodeTry) => `${teacherId} ${length === codeLengths.before ? 'short' : 'long'}`

  /** @throws {ServerError} `too-many-tries` if no code, right or wrong, is checked any more */
  async mustBeOpen(attempt: CodeTry): Promise<void> {
    const place = this.#place(attempt)
    const isKnown = (await this.#known.counted(place)) !== undefined
    const isShut = isKnown
      ? await this.#known.isFull(place)
      : (await this.#strange.isFull(place)) ||
        this.#isSpent(attempt, (await this.#all.counted(this.#shared(attempt))) ?? 0)
    if (isShut) throw new ServerError('too-many-tries')
  }

  /** Counts a wrong code. @throws {ServerError} `too-many-tries` above the limit */
  async wrong(attempt: CodeTry): Promise<void> {
    const place = this.#place(attempt)
    if ((await this.#known.counted(place)) !== undefined) return this.#known.count(place)
    await this.#strange.count(place)
    await this.#all.count(this.#shared(attempt))
    if (this.#isSpent(attempt, ((await this.#all.counted(this.#shared(attempt))) ?? 0) - 1))
      throw new ServerError('too-many-tries')
  }

  /** A right code makes its network known and adds tries: once per child, in a few networks for each. */
  async right(attempt: CodeTry, pupil: string): Promise<void> {
    const there = `${pupil} ${attempt.network}`
    if ((await this.#seen.counted(there)) !== undefined) return
    await this.#seen.count(there)
    if (!(await this.#networks.hasRoom(pupil))) return
    await this.#known.refund(this.#place(attempt), this.#earned)
  }
}
