import { randomUUID } from 'node:crypto'
import { type Run } from '@esfuerzo/core/run'
import type { Book } from './book.ts'

/** A signed-in teacher with a session that is saved over and over. */
export interface Saver {
  cookie: string
  id: string
  /** The document as it is sent, in any release. */
  document: Titled
  revision: number
}

export interface Titled {
  title: string
}

/** A link that runs are sent through. */
export interface Sender {
  token: string
  run: Run
}

const byte = () => Math.floor(Math.random() * 256)
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds))

/** The answer's content, or that none came. */
async function asked(url: string, init: RequestInit): Promise<{ status: number; body: unknown } | undefined> {
  try {
    const response = await fetch(url, { ...init, signal: AbortSignal.timeout(20_000) })
    return { status: response.status, body: await response.json() }
  } catch {
    return undefined
  }
}

/** Clients that save and send without pause, record what they were told, and find out what they were not told. */
export class Load {
  #url: string
  #book: Book
  #origin: string
  #between: number
  #over = false
  #running: Promise<void>[] = []

  /**
   * @param url where requests go
   * @param origin of the pages they come from
   * @param between milliseconds between two runs of a link
   */
  constructor(url: string, origin: string, book: Book, between: number) {
    this.#between = between
    this.#url = url
    this.#origin = origin
    this.#book = book
  }

  start(savers: readonly Saver[], senders: readonly Sender[]): void {
    this.#running = [...savers.map((s) => this.#save(s)), ...senders.map((s) => this.#send(s))]
  }

  /** Ends when every client knows the outcome of its last request. */
  async stop(): Promise<void> {
    this.#over = true
    await Promise.all(this.#running)
  }

  #ask = (path: string, method: string, body?: unknown, cookie?: string) =>
    asked(`${this.#url}${path}`, {
      method,
      headers: {
        origin: this.#origin,
        'content-type': 'application/json',
        // Every request comes from another home, according to the proxy header.
        'x-forwarded-for': `10.${byte()}.${byte()}.${byte()}`,
        ...(cookie && { cookie }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
    })

  /** Whether an answer leaves the outcome open; answers that are never allowed are recorded. */
  #isOpen(answer: { status: number; body: unknown } | undefined, what: string): boolean {
    if (answer === undefined) this.#book.counts.unknown++
    else if (answer.status === 503 || answer.status === 429) this.#book.counts.unavailable++
    else if (answer.status !== 200)
      this.#book.wrong.push(`${what} was answered ${answer.status} ${JSON.stringify(answer.body).slice(0, 200)}`)
    return answer === undefined || answer.status === 503 || answer.status === 429
  }

  async #save(saver: Saver): Promise<void> {
    const path = `/api/workouts/${saver.id}`
    // A save whose answer was lost and that was not stored when asked for: on a slow network it may still arrive.
    let underWay: string | undefined
    for (let n = 1; !this.#over; n++) {
      const title = `Save ${n}`
      const document = { ...saver.document, title }
      const before = saver.revision
      const body = { revision: before, document }
      const answer = await this.#ask(path, 'PUT', body, saver.cookie)
      let now = { title, revision: before + 1 }
      const overtaken = answer?.status === 409 && underWay !== undefined
      if (overtaken || this.#isOpen(answer, 'a save') || answer?.status !== 200) {
        // Asks until the outcome is known.
        const read = await this.#until(path, 'GET', undefined, saver.cookie)
        const { revision, document: there } = read as { revision: number; document: Titled }
        now = { title: there.title, revision }
        const old = this.#book.saves.get(saver.id)
        if (![title, old?.title, underWay].includes(now.title))
          this.#book.wrong.push(`session ${saver.id} holds ${now.title}, which nobody saved last`)
        underWay = answer === undefined && now.title !== title ? title : undefined
      } else {
        this.#book.counts.saves++
        this.#book.told(`${saver.id} ${now.revision}`)
        underWay = undefined
      }
      saver.revision = now.revision
      this.#book.saves.set(saver.id, now)
    }
  }

  async #send({ token, run }: Sender): Promise<void> {
    while (!this.#over) {
      const sent: Run = {
        ...run,
        id: randomUUID(),
        steps: { done: Math.floor(Math.random() * 1000), skipped: 0, easier: 0 },
      }
      await this.#until(`/api/go/${token}/runs`, 'POST', sent)
      this.#book.runs.set(sent.id, String(sent.steps.done))
      this.#book.counts.runs++
      this.#book.told(sent.id)
      await pause(this.#between)
    }
  }

  /** Asks until there is a good answer. @throws after twenty answers that are never allowed */
  async #until(path: string, method: string, body?: unknown, cookie?: string): Promise<unknown> {
    const what = `${method} ${path.replace(/[A-Za-z0-9_-]{22}/, '…')}`
    for (let wrong = 0; wrong < 20;) {
      const answer = await this.#ask(path, method, body, cookie)
      if (!this.#isOpen(answer, what)) {
        if (answer!.status === 200) return answer!.body
        wrong++
      }
      await pause(50)
    }
    throw new Error(`${what} was not answered well: ${this.#book.wrong.at(-1)}`)
  }
}
