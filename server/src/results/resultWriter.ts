import type { Knex } from 'knex'
import type { Logger } from 'pino'
import { isDatabaseAway, isStorageFull } from '../base/database.ts'
import { writeResults, type StoredRun } from './store.ts'

/** How long a run waits for its results before it is acknowledged, in milliseconds: they follow by themselves. Ours. */
const patience = 250
/** Milliseconds until results that could not be written are retried. */
const again = 1000
/** Runs written in one statement, and runs waiting in memory; the hourly catch-up handles more. */
const [batch, most] = [50, 2000]

/**
 * Writes the results of stored runs, one statement at a time. A run is acknowledged once it is in its own table: locked or slow results
 * delay no child, and follow when they can.
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

  /** Writes a run's results, and waits briefly for it. */
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
      // An error that waiting can't cure would block all that follow: the hourly catch-up reports it.
      if (!isDatabaseAway(err) && !isStorageFull(err)) this.#waiting = this.#waiting.slice(some.length)
      if (!this.#closed) this.#retry = setTimeout(() => this.#tryAgain(), again).unref()
    }
  }

  #tryAgain(): void {
    this.#retry = undefined
    this.#go()
  }

  /** Writes the rest once more; the hourly catch-up handles what fails. */
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
