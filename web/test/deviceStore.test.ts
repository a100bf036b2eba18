import { openDB } from 'idb'
import { beforeEach, describe, expect, it } from 'vitest'
import { cellKeeper } from '../src/classes/book/keptCells.ts'
import type { TypedCell } from '../src/classes/book/typedCell.ts'
import { clearWork, unsentWork } from '../src/account/unsentWork.ts'
import { newSession, sessionDocument } from '@esfuerzo/core'
import { draftsOf } from '../src/documents/drafts.ts'
import { childBook, changeBook } from '../src/family/book.ts'
import { setOwner } from '../src/shared/device/owner.ts'
import { purposes, type Purpose } from '../src/shared/device/purposes.ts'
import { deviceStore } from '../src/shared/device/deviceStore.ts'
import { library } from '../src/repertoire/library.ts'
import { device } from './support/deviceStore.ts'

const cell = (text: string, more: Partial<TypedCell> = {}): TypedCell => ({
  id: `c-${text}`,
  pupil: 'p1',
  column: 'felt',
  text,
  source: 'typed',
  was: null,
  state: 'waiting',
  ...more,
})
const ana = '11111111-1111-4111-8111-111111111111'
const bea = '22222222-2222-4222-8222-222222222222'

beforeEach(async () => {
  setOwner(ana)
  await device.clear()
  sessionStorage.clear()
})

describe('databases of a device', () => {
  it('are each for one purpose: no two have the same name', () => {
    const names = Object.values(purposes).map((p) => p.name)
    expect(new Set(names).size).toBe(names.length)
    expect(names).not.toContain('esfuerzo-book')
  })

  it('keep their own data, whichever was opened first', async () => {
    const orders: Purpose[][] = [
      ['classBook', 'childBook'],
      ['childBook', 'classBook'],
    ]
    for (const order of orders) {
      await device.close()
      for (const purpose of order) await deviceStore(purpose).set('k', purpose)
      for (const purpose of order) expect(await deviceStore(purpose).get('k')).toBe(purpose)
    }
  })

  it('are closed by an older page when a newer one migrates them', async () => {
    await device.set('drafts', 'k', 1)
    const newer = await openDB('esfuerzo-drafts', 2)
    newer.close()
    await expect(device.get('drafts', 'k')).rejects.toThrow()
    await new Promise<void>((resolve) => (indexedDB.deleteDatabase('esfuerzo-drafts').onsuccess = () => resolve()))
    await device.close()
  })
})

describe('the one database that two pages opened', () => {
  const asBefore = async (store: string, entries: [string, unknown][]) => {
    await device.close()
    const db = await openDB('esfuerzo-book', 1, { upgrade: (made) => void made.createObjectStore(store) })
    for (const [key, value] of entries) await db.put(store, value, key)
    db.close()
  }
  const names = async () => (await indexedDB.databases()).map((d) => d.name)

  it('passes typed cells to the class book, each under a key of its own', async () => {
    await asBefore('cells', [
      [
        '2b/s1',
        [
          ['p1 felt', cell('3')],
          ['p2 felt', cell('4')],
        ],
      ],
      ['broken', 7],
    ])
    const kept = await cellKeeper('2b/s1', () => '2b').all()
    expect(kept.map(([key, { text }]) => [key, text])).toEqual([
      ['p1 felt', '3'],
      ['p2 felt', '4'],
    ])
    expect(await names()).not.toContain('esfuerzo-book')
  })

  it('passes children’s books on, and overwrites no newer one', async () => {
    const book = (title: string) => ({
      entries: [{ title, at: '2026-11-01T10:00:00.000Z', lines: [], words: [] }],
      moved: {},
    })
    await changeBook('p2', () => book('Newer'))
    await asBefore('book', [
      ['p1', book('Old')],
      ['p2', book('Older')],
    ])
    expect((await childBook('p1')).entries[0]!.title).toBe('Old')
    expect((await childBook('p2')).entries[0]!.title).toBe('Newer')
    expect(await names()).not.toContain('esfuerzo-book')
  })

  it('is not created if it does not exist', async () => {
    await device.close()
    await childBook('p1')
    expect(await names()).not.toContain('esfuerzo-book')
  })
})

describe('cells of two tabs', () => {
  it('are kept separately: one tab’s saving or deleting does not affect the other’s', async () => {
    const [one, other] = [cellKeeper('2b/s1', () => '2b'), cellKeeper('2b/s1', () => '2b')]
    await Promise.all([one.keep('p1 felt', cell('3')), other.keep('p2 felt', cell('4'))])
    await one.keep('p1 felt', undefined)
    expect((await other.all()).map(([key]) => key)).toEqual(['p2 felt'])
    // Another book's are not among them.
    expect(await cellKeeper('2b/s2', () => '2b').all()).toEqual([])
  })
})

describe('drafts left behind by tabs', () => {
  const drafts = draftsOf(sessionDocument)
  const session = (title: string) => newSession(title, [[0, 1]], 20, library.version)
  const left = (tab: string, title: string, at: number, owner = ana) =>
    device.set('drafts', `w1/${tab}`, { revision: 1, document: session(title), at, owner })

  it('are all found, the latest first, and stay until they are discarded', async () => {
    await left('one', 'Earlier', 1000)
    await left('two', 'Later', 2000)
    await left('three', 'Somebody else’s', 3000, bea)
    const titles = async () => (await drafts.find('w1')).map((d) => d.document.title)
    expect(await titles()).toEqual(['Later', 'Earlier'])
    expect(await titles()).toEqual(['Later', 'Earlier'])
    await drafts.drop('w1/two')
    expect(await titles()).toEqual(['Earlier'])
  })

  it('are listed before somebody signs out, with typed results; others’ are neither listed nor cleared', async () => {
    await left('one', 'Springs', Date.now())
    await left('two', 'Not hers', Date.now(), bea)
    await left('three', 'Forgotten', Date.now() - 40 * 86_400_000, bea)
    const keeper = cellKeeper('2b/s1', () => '2b · Ten gannets')
    await keeper.keep('p1 felt', cell('3'))
    await keeper.keep('p2 felt', cell('4'))
    expect(await unsentWork()).toMatchObject([
      { kind: 'session', title: 'Springs', count: 1, to: { name: 'compose', params: { id: 'w1' } } },
      {
        kind: 'results',
        title: '2b · Ten gannets',
        count: 2,
        to: { params: { classId: '2b' }, query: { session: 's1' } },
      },
    ])
    sessionStorage.setItem('esfuerzo.text.w1', 'typed')
    await clearWork()
    expect(await unsentWork()).toEqual([])
    expect((await device.entries('drafts')).map(([key]) => key)).toEqual(['w1/two'])
    expect(sessionStorage.length).toBe(0)
  })

  it('are not written once their teacher has signed out', async () => {
    setOwner(undefined)
    await drafts.keep('w1', { revision: 1, document: session('Too over') })
    await cellKeeper('2b/s1', () => '2b').keep('p1 felt', cell('3'))
    expect([await device.entries('drafts'), await device.entries('classBook')]).toEqual([[], []])
  })
})
