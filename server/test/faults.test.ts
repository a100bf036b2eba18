import { afterAll, beforeAll, expect, it } from 'vitest'
import { Book, differencesFrom, type Found } from '../../faults/book.ts'
import { startHasty } from '../../faults/hasty.ts'
import { openHouse, type House } from '../../faults/house.ts'
import { trial } from '../../faults/trial.ts'

let house: House
beforeAll(async () => void (house = await openHouse()))
afterAll(() => house.close())

const verify = Boolean(process.env.VERIFY)

it('kills under load lose nothing that was acknowledged, and double nothing', async () => {
  const kills = verify ? { server: 50, database: 20 } : { server: 4, database: 1 }
  const { differences, counts, back } = await trial(house, { savers: 5, senders: 5, kills, gap: 700 })
  expect(differences).toEqual([])
  expect([back.server.length, back.database.length]).toEqual([kills.server, kills.database])
  expect(Math.min(counts.saves, counts.runs, counts.unknown)).toBeGreaterThan(0)
})

it('finds an answer that comes before its commit', async () => {
  const hasty = await startHasty(house.url)
  const found: string[] = []
  for (let i = 0; i < 8 && !found.length; i++) {
    const plan = { savers: 0, senders: 8, kills: { server: 2, database: 0 }, gap: 400, through: hasty.url }
    found.push(...(await trial(house, plan)).differences)
  }
  await hasty.close()
  expect(found[0]).toMatch(/^run \S+ was acknowledged and is there 0 times$/)
})

it('sees what is gone, changed, doubled or nobody’s', () => {
  const book = new Book()
  book.saves.set('w1', { title: 'Save 3', revision: 4 })
  book.runs.set('r1', '7')
  const well: Found = {
    saves: new Map([['w1', { title: 'Save 3', revision: 4, history: ['Save 0', 'Save 3'] }]]),
    runs: [{ id: 'r1', said: '7' }],
  }
  expect(differencesFrom(book, well)).toEqual([])
  const other = (title: string, revision: number, history: string[]) => new Map([['w1', { title, revision, history }]])
  expect(differencesFrom(book, { ...well, saves: new Map() })).toHaveLength(1)
  expect(differencesFrom(book, { ...well, saves: other('Save 2', 3, ['Save 2']) })).toHaveLength(1)
  expect(differencesFrom(book, { ...well, saves: other('Save 3', 4, ['Save 2']) })).toHaveLength(1)
  expect(differencesFrom(book, { ...well, runs: [] })).toHaveLength(1)
  expect(differencesFrom(book, { ...well, runs: [{ id: 'r1', said: '8' }] })).toHaveLength(1)
  expect(differencesFrom(book, { ...well, runs: [...well.runs, ...well.runs] })).toHaveLength(1)
  expect(differencesFrom(book, { ...well, runs: [...well.runs, { id: 'r2', said: '7' }] })).toHaveLength(1)
})
