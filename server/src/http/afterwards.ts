import type { Logger } from 'pino'

/**
 * Runs work after the answer is sent, so that neither its duration nor its start reveals anything to the client. A stopping server finishes
 * it first.
 */
export class Afterwards {
  #log: Logger
  #waiting = new Map<NodeJS.Timeout, () => Promise<void>>()
  #running = new Set<Promise<void>>()

  constructor(log: Logger) {
    this.#log = log
  }

  /** Runs it within half a second. A failure is logged under `what`. */
  later(what: string, work: () => Promise<void>): void {
    const run = () => {
      this.#waiting.delete(timer)
      const running = work()
        .catch((err) => this.#log.error({ err }, what))
        .finally(() => this.#running.delete(running))
      this.#running.add(running)
      return running
    }
    const timer = setTimeout(run, 50 + Math.random() * 450)
    this.#waiting.set(timer, run)
  }

  /** Runs what is left at once, and waits for it. */
  async flush(): Promise<void> {
    for (const [timer, run] of this.#waiting) {
      clearTimeout(timer)
      void run()
    }
    await Promise.all(this.#running)
  }
}
