import { Book, differencesFrom } from './book.ts'
import type { House } from './house.ts'
import { Load } from './load.ts'

/** What a trial came to. */
export interface Outcome {
  /** What differs between what clients were told and what there is; nothing where all is well. */
  differences: string[]
  counts: Book['counts']
  /** Milliseconds until it went on, of each kill. */
  back: { server: number[]; database: number[] }
}

/** How much a trial does. */
export interface Plan {
  savers: number
  senders: number
  /** Kills of each, in turn, at random moments of the load. */
  kills: { server: number; database: number }
  /** Between two kills at most, in milliseconds. */
  gap: number
  /** In place of the house itself: what stands before it. */
  through?: string
}

let settled = 0

/** Kills servers and databases under load, and holds what its clients were told against what there is in the end. */
export async function trial(
  house: House,
  { savers, senders, kills, gap, through = house.url }: Plan,
): Promise<Outcome> {
  const book = new Book()
  const clients: Awaited<ReturnType<House['settle']>>[] = []
  for (let i = 0; i < Math.max(savers, senders); i++) clients.push(await house.settle(settled++))
  for (const { saver } of clients) book.saves.set(saver.id, { title: 'Save 0', revision: 1 })
  const load = new Load(through, house.url, book)
  load.start(
    clients.slice(0, savers).map((c) => c.saver),
    clients.slice(0, senders).map((c) => c.sender),
  )
  const back: Outcome['back'] = { server: [], database: [] }
  const order = [
    ...Array(kills.server).fill('server'),
    ...Array(kills.database).fill('database'),
  ] as (keyof typeof back)[]
  order.sort(() => Math.random() - 0.5)
  for (const what of order) {
    await new Promise((resolve) => setTimeout(resolve, 100 + Math.random() * gap))
    back[what].push(await (what === 'server' ? house.killServer() : house.killDatabase()))
  }
  await new Promise((resolve) => setTimeout(resolve, 300))
  await load.stop()
  return {
    differences: differencesFrom(book, await house.found(clients.map((c) => c.saver.id))),
    counts: book.counts,
    back,
  }
}
