import { afterAll, beforeAll, expect, it } from 'vitest'
import { Book, differencesFrom, type Found } from '../../faults/book.ts'
import { startHasty } from '../../faults/hasty.ts'
import { killsOf, openHouse, type House } from '../../faults/house.ts'
import { trial } from '../../faults/trial.ts'

let house: House
beforeAll(async () => void (house = await openHouse()))
afterAll(() => house.close())

const verify = Boolean(process.env.VERIFY)

it.runIf(verify)('kills under load lose nothing that was acknowledged, and double nothing', async () => {
  const kills = { server: 50, database: 20 }
  const plan = { savers: 5, senders: 5, blows: killsOf(house, kills), gap: 700 }
  const { differences, counts, back } = await trial(house, plan)
  expect(differences).toEqual([])
  expect([back.get('server')?.length, back.get('database')?.length]).toEqual([kills.server, kills.database])
  expect(Math.min(counts.saves, counts.runs, counts.unknown)).toBeGreaterThan(0)
})

// `npm run faults` plants it too, and stops where it is not found.
if (verify)
  it('detects an answer that comes before its commit', async () => {
    const hasty = await startHasty(house.url)
    const found: string[] = []
    for (let i = 0; i < 8 && !found.length; i++) {
      const blows = killsOf(house, { server: 2, database: 0 })
      const plan = { savers: 0, senders: 8, blows, gap: 400, through: hasty.url }
      found.push(...(await trial(house, plan)).differences)
    }
    await hasty.close()
    expect(found[0]).toMatch(/^run \S+ was acknowledged and is there 0 times$/)
  })

it('measures how long nothing was acknowledged', () => {
  const book = new Book()
  const now = Date.now()
  expect(book.longestPause(now - 500, now)).toBe(500)
  book.told('r1')
  expect(book.toldAt('r1')).toBeGreaterThanOrEqual(now)
  expect(book.longestPause(now - 500, now + 200)).toBeLessThan(700)
  expect(book.longestPause(now - 500, now + 200)).toBeGreaterThanOrEqual(500)
})

it('detects missing, changed, doubled or unowned rows', () => {
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
