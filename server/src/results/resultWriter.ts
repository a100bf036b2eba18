import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { isDatabaseAway, isStorageFull } from '../base/database.ts'
import { writeResults, type StoredRun } from './store.ts'

/** A run waits so long for its results before it is answered, in milliseconds: they follow it by themselves. Ours. */
const patience = 250
/** Results that could not be written are tried again after so long, in milliseconds. */
const again = 1000
/** So many runs are written in one statement, and so many wait in memory; beyond that the hourly catch-up has them. */
const [batch, most] = [50, 2000]

/**
 * Writes the results of runs that are stored already, one statement at a time. A run is acknowledged by its own table: results that are
 * locked or slow hold no child up, and follow when they can.
 */
export class ResultWriter {
  readonly #db: Knex
  readonly #log: Logger
  #waiting: { run: StoredRun; done: () => void }[] = []
  #writing: Promise<void> | undefined
  #retry: NodeJS.Timeout | undefined
  #closed = false

  constructor(db: Knex, log: Logger) {
    this.#db = db
    this.#log = log
  }

  /** Writes a run's results, and waits a moment for it. */
  async follow(run: StoredRun): Promise<void> {
    if (this.#waiting.length >= most) return
    await new Promise<void>((resolve) => {
      const timer = setTimeout(resolve, patience)
      const done = () => {
        clearTimeout(timer)
        resolve()
      }
      this.#waiting.push({ run, done })
      this.#go()
    })
  }

  #go(): void {
    if (this.#retry || this.#writing || !this.#waiting.length) return
    this.#writing = this.#write(this.#waiting.slice(0, batch)).finally(() => {
      this.#writing = undefined
      this.#go()
    })
  }

  async #write(some: { run: StoredRun; done: () => void }[]): Promise<void> {
    try {
      await writeResults(
        this.#db,
        some.map(({ run }) => run),
      )
      this.#waiting = this.#waiting.slice(some.length)
      for (const { done } of some) done()
    } catch (err) {
      this.#log.warn({ err, runs: this.#waiting.length }, 'results of runs could not be written yet')
      // What is no matter of waiting would hold up all that come after it: the hourly catch-up reports it.
      if (!isDatabaseAway(err) && !isStorageFull(err)) this.#waiting = this.#waiting.slice(some.length)
      if (!this.#closed) this.#retry = setTimeout(() => this.#tryAgain(), again).unref()
    }
  }

  #tryAgain(): void {
    this.#retry = undefined
    this.#go()
  }

  /** Writes what is left once more; what cannot be written is caught up with later. */
  async close(): Promise<void> {
    this.#closed = true
    clearTimeout(this.#retry)
    this.#retry = undefined
    await this.#writing
    while (this.#waiting.length) {
      const left = this.#waiting.length
      await this.#write(this.#waiting.slice(0, batch))
      if (this.#waiting.length === left) return
    }
  }
}
