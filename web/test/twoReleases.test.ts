import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { newSession, setDetails, stationsOf, writtenDocument, sessionDocument, type Session } from '@esfuerzo/core'
import { createClient } from '@esfuerzo/contract'
import { useComposer } from './support/composer.ts'
import { removalsOver, removing } from '../src/desk/removing.ts'
import { reloadOnce } from '../src/shared/reloadOnce.ts'
import { library } from '../src/repertoire/library.ts'
import { device } from './support/deviceStore.ts'

const session = newSession(
  'Springs',
  [
    [0, 1],
    [4, 5],
  ],
  20,
  library.version,
)
const newer = { ...session, version: 99, somethingNew: true }
/** A server whose session, and whose answer to a save, are given. */
const server = { document: session as unknown, save: 200, sent: [] as { document: { version: number } }[] }
const answer = (status: number, body: unknown) => new Response(JSON.stringify(body), { status })
async function fakeFetch(url: string, init: { method: string; body?: string }): Promise<Response> {
  if (url.endsWith('/settings') || url.includes('/moves') || url.endsWith('/versions'))
    return answer(404, { code: 'not-found' })
  if (init.method === 'GET') return answer(200, { id: 'w1', revision: 1, updatedAt: '', document: server.document })
  server.sent.push(JSON.parse(init.body!))
  return server.save === 200
    ? answer(200, { id: 'w1', revision: 2 })
    : answer(409, { code: 'newer-document', detail: '' })
}
let composer: ReturnType<typeof useComposer>
beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] })
  vi.stubGlobal('fetch', fakeFetch)
  sessionStorage.clear()
  // Reloaded just now: jsdom has nothing to load.
  sessionStorage.setItem('esfuerzo-reloaded-at', String(Date.now()))
  await device.clear()
  Object.assign(server, { document: session, save: 200, sent: [] })
  setActivePinia(createPinia())
  composer = useComposer()
})
afterEach(() => vi.useRealTimers())
const quiet = async () => {
  await device.settled()
  await vi.advanceTimersByTimeAsync(800)
  await device.settled()
}
/** How many drafts the device has. */
const drafts = async () => (await device.entries('drafts')).length
const renamed = (title: string) => (w: Session) => setDetails(w, { title })

describe('a page and a server a release apart', () => {
  it('what the previous release can express is sent as it wrote it', async () => {
    await composer.open('w1')
    composer.edit(renamed('Gusts'))
    await quiet()
    expect(composer.saveState).toBe('saved')
    expect(server.sent.map((body) => body.document.version)).toEqual([1])
    composer.edit((w) => ({ ...w, sections: w.sections.map((s) => ({ ...s, minutes: 5 })) }))
    await quiet()
    expect(server.sent.at(-1)!.document.version).toBe(2)
  })

  it('a newer session is not opened, and says so', async () => {
    server.document = newer
    await composer.open('w1')
    expect(composer.loadError).toBe('newer-document')
    expect(server.sent).toEqual([])
  })

  it('an older server keeps nothing and loses nothing: the work is on the device, and retried', async () => {
    await composer.open('w1')
    server.save = 409
    composer.edit(renamed('Gusts'))
    await quiet()
    expect(composer.saveState).toBe('newer')
    expect((await device.entries('drafts')).map(([, draft]) => draft)).toMatchObject([
      { document: { title: 'Gusts', version: 1 } },
    ])
    server.save = 200
    await vi.advanceTimersByTimeAsync(11_000)
    await device.settled()
    expect(composer.saveState).toBe('saved')
    expect(await drafts()).toBe(0)
  })

  it('work a newer page left on the device stays there for it', async () => {
    sessionStorage.setItem('esfuerzo-tab', 'mine')
    await device.set('drafts', 'w1/mine', { revision: 1, document: { ...newer, title: 'From tomorrow' }, at: 0 })
    await composer.open('w1')
    expect(composer.document.title).toBe('Springs')
    expect(await drafts()).toBe(1)
  })

  it('work this page left is restored, also if the previous release wrote it', async () => {
    sessionStorage.setItem('esfuerzo-tab', 'mine')
    const document = writtenDocument(sessionDocument, { ...session, title: 'From yesterday' })
    await device.set('drafts', 'w1/mine', { revision: 1, document, at: 0 })
    await composer.open('w1')
    expect(composer.document.title).toBe('From yesterday')
    expect(composer.message).toMatchObject({ text: 'restored' })
  })

  it('is reloaded once, not forever', () => {
    sessionStorage.clear()
    const place = { reload: vi.fn() }
    expect(reloadOnce(1_000_000, place)).toBe(true)
    expect(reloadOnce(1_060_000, place)).toBe(false)
    expect(reloadOnce(2_000_000, place)).toBe(true)
    expect(place.reload).toHaveBeenCalledTimes(2)
  })

  it('the client names a newer document in any answer by its code, and a broken one too', async () => {
    const client = (document: unknown) => createClient(async () => answer(200, { document }))
    const asked = (document: unknown) =>
      client(document)('readSession', { params: { id: 'x' } }).catch((e: unknown) => e)
    expect(await asked(newer)).toMatchObject({ code: 'newer-document' })
    expect(await asked({ ...session, title: 3 })).toMatchObject({ code: 'unexpected', problems: [{ path: ['title'] }] })
    expect(await asked(session)).toMatchObject({ document: { title: 'Springs' } })
  })
})

it('a paste is undone in one step, however many parts it has', async () => {
  await composer.open('w1')
  composer.goTo(composer.rows[0]!.id)
  const text = '## One\nsquat 10\n## Two\nlunge 8\n## Three\n3x10 squat\n### Rounds\n2 rounds: squat 5, lunge 5\n'
  expect(composer.paste(text)).toBe(true)
  expect(composer.document.sections.map((s) => s.title).filter(Boolean)).toEqual(
    expect.arrayContaining(['One', 'Two', 'Three']),
  )
  const titles = composer.document.sections.map((s) => s.title)
  expect(titles.indexOf('Two')).toBe(titles.indexOf('One') + 1)
  expect(titles.indexOf('Three')).toBe(titles.indexOf('One') + 2)
  composer.undo()
  expect(composer.document).toEqual(session)
})

it('an exercise gets each group’s own version, however it is inserted', async () => {
  await composer.open('w1')
  const versions = () => {
    const station = composer.document.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))[0]!
    return ['g1', 'g2'].map((g) => (station.cells.by?.[g] ?? station.cells.all).version)
  }
  composer.goTo(composer.rows.find((r) => r.kind === 'empty')?.id ?? composer.rows[0]!.id)
  composer.addMove('squat')
  composer.swap('squat-jump')
  expect(versions()).toEqual(['frog', 'squat-jump'])
  composer.undo()
  composer.undo()
  composer.addMove('squat-jump')
  expect(versions()).toEqual(['frog', 'squat-jump'])
})

it('the trash is not listed before what was removed is in it', async () => {
  vi.useRealTimers()
  const order: string[] = []
  let done = () => {}
  void removing(new Promise<void>((resolve) => (done = resolve))).then(() => order.push('removed'))
  const listed = removalsOver().then(() => order.push('listed'))
  await flushPromises()
  expect(order).toEqual([])
  done()
  await listed
  expect(order).toEqual(['removed', 'listed'])
  await removing(Promise.reject(new Error('refused'))).catch(() => undefined)
  await removalsOver()
})
