import { Book, differencesFrom } from './book.ts'
import type { Clients } from './clients.ts'
import { Load } from './load.ts'

/** Something that happens to an Esfuerzo under load. */
export interface Blow {
  name: string
  /** @returns milliseconds until it works again */
  strike: () => Promise<number>
}

/** The result of a trial. */
export interface Outcome {
  /** Differences between what clients were told and what is stored; empty if all is well. */
  differences: string[]
  counts: Book['counts']
  /** For each kind of fault, in milliseconds: until it worked again, and the longest time without an acknowledgment. */
  back: Map<string, number[]>
  pauses: Map<string, number[]>
}

/** How much a trial does. */
export interface Plan {
  savers: number
  senders: number
  /** In order, at random moments of the load. */
  blows: readonly Blow[]
  /** At most this long between two faults, in milliseconds. */
  gap: number
  /** Milliseconds between two runs through one link; 60 by default. In ten minutes a link accepts 600. */
  between?: number
  /** Replaces where the clients' pages come from: a proxy in front of it. */
  through?: string
}

let settled = 0

/** Runs faults under load, then compares what clients were told with what is stored. */
export async function trial(
  clients: Clients,
  { savers, senders, blows, gap, between = 60, through = clients.url }: Plan,
): Promise<Outcome> {
  const book = new Book()
  const people: Awaited<ReturnType<Clients['settle']>>[] = []
  for (let i = 0; i < Math.max(savers, senders); i++) people.push(await clients.settle(settled++))
  for (const { saver } of people) book.saves.set(saver.id, { title: 'Save 0', revision: 1 })
  const load = new Load(through, clients.url, book, between)
  load.start(
    people.slice(0, savers).map((c) => c.saver),
    people.slice(0, senders).map((c) => c.sender),
  )
  const [back, pauses] = [new Map<string, number[]>(), new Map<string, number[]>()]
  const put = (map: typeof back, name: string, ms: number) => map.set(name, [...(map.get(name) ?? []), ms])
  for (const { name, strike } of blows) {
    await new Promise((resolve) => setTimeout(resolve, 100 + Math.random() * gap))
    const began = Date.now()
    put(back, name, await strike())
    put(pauses, name, book.longestPause(began, Date.now()))
  }
  await new Promise((resolve) => setTimeout(resolve, 300))
  await load.stop()
  return {
    differences: differencesFrom(book, await clients.found(people.map((c) => c.saver.id))),
    counts: book.counts,
    back,
    pauses,
  }
}
