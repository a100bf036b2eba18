import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, newSettings, newSession, setDetails, stationsOf, type Session } from '@esfuerzo/core'
import { library } from '../src/repertoire/library.ts'
import { device } from './support/deviceStore.ts'

/** A server with one session. */
const server = {
  document: undefined as unknown as Session,
  revision: 1,
  created: [] as Session[],
  down: false,
  signedOut: false,
  /** It stores, and goes away before it answers. */
  dies: false,
}
const answer = (status: number, body: unknown) => new Response(JSON.stringify(body), { status })
async function fakeFetch(url: string, init: { method: string; body?: string }): Promise<Response> {
  if (server.down) throw new TypeError('network')
  if (server.signedOut) return answer(401, { code: 'sign-in-needed', detail: '' })
  const body = init.body ? JSON.parse(init.body) : undefined
  if (url.endsWith('/settings')) return answer(200, newSettings('UTC'))
  if (url.endsWith('/versions')) return answer(200, {})
  if (init.method === 'GET')
    return url.endsWith('gone')
      ? answer(404, { code: 'not-found', detail: '' })
      : answer(200, { id: 'w1', revision: server.revision, document: server.document })
  if (init.method === 'POST') return (server.created.push(body.document), answer(200, { id: 'copy', revision: 1 }))
  if (body.revision !== server.revision) return answer(409, { code: 'conflict', detail: '' })
  Object.assign(server, { document: body.document, revision: server.revision + 1, down: server.dies })
  if (server.dies) throw new TypeError('network')
  return answer(200, { id: 'w1', revision: server.revision })
}

const fresh = async () => {
  setActivePinia(createPinia())
  const { useComposer } = await import('./support/composer.ts')
  return useComposer()
}
const quiet = async () => {
  await device.settled()
  await vi.advanceTimersByTimeAsync(800)
  await device.settled()
}
/** How many drafts the device has. */
const drafts = async () => (await device.entries('drafts')).length

beforeEach(async () => {
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'setInterval', 'clearInterval', 'Date'] })
  vi.stubGlobal('fetch', fakeFetch)
  await device.clear()
  sessionStorage.clear()
  const session = newSession(
    'Springs',
    [
      [0, 1],
      [4, 5],
    ],
    20,
    library.version,
  )
  const document = addStation(session, 'b2', cellsFor(library.moves.get('pogo')!, session.groups, 'intervals'))
  Object.assign(server, { document, revision: 1, created: [], down: false, signedOut: false, dies: false })
})
afterEach(() => void vi.useRealTimers())

describe('the composer', () => {
  it('opens a session, edits it, and saves automatically', async () => {
    const composer = await fresh()
    await composer.open('w1')
    expect(composer.lanes.map((l) => l.totals.session.seconds.typical)).toEqual([180, 180])
    composer.edit((w) => setDetails(w, { title: 'Gusts' }))
    expect(composer.saveState).toBe('unsaved')
    await quiet()
    expect([composer.saveState, server.document.title, server.revision, await drafts()]).toEqual([
      'saved',
      'Gusts',
      2,
      0,
    ])
  })

  it('inserts an exercise below the cursor and moves the cursor to it', async () => {
    const composer = await fresh()
    await composer.open('w1')
    composer.selection = { row: 's1', cell: -1 }
    composer.addMove('plank')
    composer.addMove('lunge')
    const block = composer.document.sections[1]!.blocks[0]!
    expect(stationsOf(block).map((s) => s.cells.all.move)).toEqual(['pogo', 'plank', 'lunge'])
    expect(composer.selection).toEqual({ row: 's3', cell: -1 })
    composer.selection = { row: 'p3', cell: -1 }
    composer.addMove('butterfly')
    expect(stationsOf(composer.document.sections[2]!.blocks[0]!)).toHaveLength(1)
  })

  it('puts the first exercise of an empty session into its warm-up', async () => {
    server.document = newSession('Fresh', [[2, 3]], 20, library.version)
    const composer = await fresh()
    await composer.open('w1')
    // The cursor shows where that will be.
    const standsOn = composer.rows.find((row) => row.id === composer.selection?.row)
    expect(standsOn).toMatchObject({ kind: 'empty', section: { role: 'warmUp' } })
    composer.addMove('march')
    const rows = composer.document.sections.map((s) => s.blocks.flatMap((b) => stationsOf(b)).length)
    expect([composer.document.sections[0]!.role, rows]).toEqual(['warmUp', [1, 0, 0]])
  })

  it('inserts a line of several exercises as rows, the next line below the last, without inventing goals', async () => {
    const composer = await fresh()
    await composer.open('w1')
    composer.selection = { row: 's1', cell: -1 }
    composer.insertText('squat, plank')
    composer.insertText('lunge, push-up')
    const rows = stationsOf(composer.document.sections[1]!.blocks[0]!)
    expect(rows.map((s) => s.cells.all.move)).toEqual(['pogo', 'squat', 'plank', 'lunge', 'push-up'])
    expect(rows.flatMap((s) => [s.cells.all, ...Object.values(s.cells.by ?? {})]).filter((cell) => cell.dose)).toEqual(
      [],
    )
    composer.insertText('squat 12, plank')
    expect(stationsOf(composer.document.sections[1]!.blocks[0]!).at(-2)!.cells.all.dose).toEqual({
      unit: 'reps',
      amount: 12,
    })
  })

  it('says why an edit is impossible, and changes nothing', async () => {
    const composer = await fresh()
    await composer.open('w1')
    const before = composer.document
    expect(composer.edit((w) => setDetails(w, { minutes: 500 }))).toBe(false)
    expect(composer.document).toBe(before)
    expect(composer.message?.text).toContain('minutes: should be at most 120')
  })

  it('offers to undo a removal, and restores exactly the same document', async () => {
    const composer = await fresh()
    await composer.open('w1')
    const before = composer.document
    composer.selection = { row: 's1', cell: -1 }
    composer.removeRows()
    expect(composer.message).toEqual({ text: 'removed', undo: true })
    composer.undo()
    expect(composer.document).toBe(before)
  })

  it('keeps work on the device while the server is away, and restores it after a reload', async () => {
    const composer = await fresh()
    await composer.open('w1')
    server.down = true
    composer.edit((w) => setDetails(w, { title: 'In the dark' }))
    await quiet()
    expect([composer.saveState, await drafts()]).toEqual(['away', 1])
    server.down = false
    // The page is reloaded, in the same tab.
    const again = await fresh()
    await again.open('w1')
    expect([again.document.title, again.canUndo, again.message?.text]).toEqual(['In the dark', true, 'restored'])
    await quiet()
    expect(server.document.title).toBe('In the dark')
  })

  it('continues after a reload if the last save was stored and its answer lost', async () => {
    const composer = await fresh()
    await composer.open('w1')
    server.dies = true
    composer.edit((w) => setDetails(w, { title: 'Stored' }))
    await quiet()
    composer.edit((w) => setDetails(w, { title: 'And on' }))
    expect([server.document.title, server.down]).toEqual(['Stored', true])
    Object.assign(server, { down: false, dies: false })
    const again = await fresh()
    await again.open('w1')
    expect([again.document.title, again.message?.text, server.created]).toEqual(['And on', 'restored', []])
    await quiet()
    expect([server.document.title, server.revision, await drafts()]).toEqual(['And on', 3, 0])
  })

  it('keeps both when a session was saved elsewhere meanwhile', async () => {
    const composer = await fresh()
    await composer.open('w1')
    server.revision = 7
    composer.edit((w) => setDetails(w, { title: 'Mine' }))
    await quiet()
    expect(composer.saveState).toBe('conflict')
    expect(await composer.keepBoth()).toBe('copy')
    expect(server.created.map((d) => d.title)).toEqual(['Mine (my copy)'])
    await composer.open('w1')
    expect([composer.document.title, composer.saveState]).toEqual(['Springs', 'saved'])
  })

  it('makes a copy of work left on the device that started from an older revision', async () => {
    await device.set('drafts', 'w1/gone-tab', {
      revision: 1,
      document: setDetails(server.document, { title: 'Left behind' }),
      at: Date.now() - 120_000,
    })
    server.revision = 3
    const composer = await fresh()
    await composer.open('w1')
    expect([composer.document.title, server.created[0]?.title, await drafts()]).toEqual([
      'Springs',
      'Left behind (my copy)',
      0,
    ])
  })

  it('leaves the work of a tab that is still open alone', async () => {
    await device.set('drafts', 'w1/other-tab', {
      revision: 1,
      document: setDetails(server.document, { title: 'Being typed' }),
      at: Date.now() - 5000,
    })
    const composer = await fresh()
    await composer.open('w1')
    expect([composer.document.title, await drafts()]).toEqual(['Springs', 1])
  })

  it('says what is wrong if a session cannot be opened, and if nobody is signed in any more', async () => {
    const composer = await fresh()
    await composer.open('gone')
    expect(composer.loadError).toBe('not-found')
    await composer.open('w1')
    expect(composer.loadError).toBeUndefined()
    server.signedOut = true
    composer.edit((w) => setDetails(w, { title: 'Signed out' }))
    await quiet()
    expect([composer.saveState, await drafts()]).toEqual(['signed-out', 1])
  })
})

describe('pieces and folding', () => {
  it('copies the cursor’s row, and pastes it after the cursor', async () => {
    const composer = await fresh()
    await composer.open('w1')
    expect(composer.copied()).toBeUndefined()
    composer.selection = { row: 's1', cell: -1 }
    const station = composer.copied()!
    composer.selection = { row: 'p2', cell: -1 }
    const section = composer.copied()!
    composer.selection = { row: 's1', cell: -1 }
    expect(composer.paste(station)).toBe(true)
    expect(composer.selection).toEqual({ row: 's2', cell: -1 })
    expect(composer.paste(section)).toBe(true)
    expect(composer.document.sections.map((s) => s.id)).toEqual(['p1', 'p2', 'p4', 'p3'])
    expect(composer.paste('something else')).toBe(false)
    composer.undo()
    composer.undo()
    expect(composer.document).toEqual(server.document)
  })

  it('folds a section, continues the numbering, and opens it for anything inserted', async () => {
    const composer = await fresh()
    await composer.open('w1')
    composer.selection = { row: 'p3', cell: -1 }
    composer.addMove('butterfly')
    composer.toggleFold('p2')
    const shown = () => composer.rows.map((r) => (r.kind === 'station' ? `${r.n} ${r.name}` : r.kind))
    expect(shown()).toEqual(['section', 'empty', 'section', 'section', '2 Butterfly'])
    composer.selection = { row: 'p2', cell: -1 }
    composer.addMove('plank')
    expect(shown()).toEqual(['section', 'empty', 'section', '1 Pogo jump', '2 Plank', 'section', '3 Butterfly'])
    composer.toggleFold('p2')
    composer.goTo('s1')
    expect(composer.folded.size).toBe(0)
  })
})
