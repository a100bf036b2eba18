import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { type Run } from '@esfuerzo/core/run'
import { CallError } from '@esfuerzo/contract'
import { adoptFirstRecords } from '../src/family/firstRecords.ts'
import { runLife, type Life, type LifeStore, type SendOutcome, type RunLife } from '../src/family/runLife.ts'

/** A device and a server that may fail at any moment, and the state so far. */
function world() {
  const disk = new Map<string, Life>()
  const server = new Map<string, Run>()
  const state = { network: true, answers: true, storage: true, ended: false, sends: 0, ids: 0, now: 1_000_000 }
  const stored = <T>(work: () => T): Promise<T> =>
    state.storage ? Promise.resolve(work()) : Promise.reject(new Error('no storage'))
  const store: LifeStore = {
    all: () => stored(() => [...disk.values()].map((life) => structuredClone(life))),
    set: (life) => stored(() => void disk.set(life.id, structuredClone(life))),
    remove: (id) => stored(() => void disk.delete(id)),
  }
  const send = async (_token: string, run: Run) => {
    state.sends++
    if (!state.network) throw new CallError('offline', '')
    if (state.ended) throw new CallError('ended', '')
    // The key of a row is the run's id: sent again, it is the same row.
    server.set(run.id, run)
    if (!state.answers) throw new CallError('offline', 'the answer was lost')
  }
  const open = (): RunLife => runLife({ store, send, now: () => state.now++, newId: () => `id-${++state.ids}` })
  return { disk, server, state, store, open }
}

const sent = { token: 'T', sha256: 'a'.repeat(64), title: 'Springs' }
const result = (lane: string) => ({ lane, done: 3, skipped: 0, easier: 0, found: [] })
const runsOf = (life: Life): Run[] => life.lanes.map(({ lane, run }) => ({ id: run, group: lane }) as unknown as Run)

describe('the life of a run', () => {
  it('is one row however often it is sent, also when the page is closed while it sends', async () => {
    const { state, server, disk, open } = world()
    const first = open()
    const life = await first.begin({ ...sent, lanes: [{ lane: 'g1' }, { lane: 'g2' }] })
    await first.finish(life, 'whole', [result('g1'), result('g2')])
    state.answers = false
    const [finished] = await first.finished('T')
    expect(await first.answer(finished!, runsOf(finished!))).toBe('kept')
    state.answers = true
    const again = open()
    await Promise.all([again.sendWaiting(), again.sendWaiting()])
    expect(server.size).toBe(2)
    expect(disk.size).toBe(0)
    expect(state.sends).toBe(4)
  })

  it('is reported as not kept if the device stores nothing and the network is away, and is sent from memory', async () => {
    const { state, server, open } = world()
    state.storage = state.network = false
    const page = open()
    await page.finish(await page.begin({ ...sent, lanes: [{ lane: 'g1' }] }), 'whole', [result('g1')])
    const [life] = await page.finished('T')
    expect(await page.answer(life!, runsOf(life!))).toBe('unkept')
    state.network = true
    await page.sendWaiting()
    expect(server.size).toBe(1)
  })

  it('survives a refusal: another server may accept it later', async () => {
    const { state, server, disk, open } = world()
    state.ended = true
    const page = open()
    await page.finish(await page.begin({ ...sent, lanes: [{ lane: 'g1' }] }), 'early', [result('g1')])
    const [life] = await page.finished('T')
    expect(await page.answer(life!, runsOf(life!))).toBe('refused')
    expect([...disk.values()]).toMatchObject([{ stage: 'answered', refused: 'ended' }])
    state.ended = false
    await open().sendWaiting()
    expect(server.size).toBe(1)
  })

  it('can be continued after a reload for six hours, for that session only, and ends when another starts', async () => {
    const { state, disk, open } = world()
    const life = await open().begin({ ...sent, lanes: [{ lane: 'g1' }] })
    const page = open()
    expect(await page.underway('T', sent.sha256)).toBeUndefined()
    const first = open()
    await first.underway('T', sent.sha256)
    await first.progress(life, { now: 3 } as never)
    expect((await open().underway('T', sent.sha256))?.player).toEqual({ now: 3 })
    expect(await open().underway('T', 'b'.repeat(64))).toBeUndefined()
    state.now += 6 * 60 * 60 * 1000
    expect(await open().underway('T', sent.sha256)).toBeUndefined()
    await open().begin({ ...sent, lanes: [{ lane: 'g1' }] })
    expect(disk.size).toBe(1)
  })

  it('is not revived by a late write of its position', async () => {
    const { disk, open } = world()
    const page = open()
    const life = await page.begin({ ...sent, lanes: [{ lane: 'g1' }] })
    await page.finish(life, 'whole', [result('g1')])
    await page.progress(life, { now: 9 } as never)
    expect([...disk.values()].map((l) => l.stage)).toEqual(['finished'])
  })

  it('takes over an unsent run that the first release kept', async () => {
    const { store, open } = world()
    const old = { lanes: [result('g1')], startedAt: '2026-01-01T10:00:00Z', finishedAt: '2026-01-01T10:20:00Z' }
    localStorage.clear()
    localStorage.setItem('esfuerzo-run-T', JSON.stringify(old))
    localStorage.setItem('esfuerzo-run-broken', '{')
    await adoptFirstRecords(store, () => 'id', localStorage)
    expect(await open().finished('T')).toMatchObject([{ results: old.lanes, finishedAt: old.finishedAt }])
    expect(Object.keys(localStorage)).toEqual(['esfuerzo-run-broken'])
  })

  type Command = 'begin' | 'finish' | 'answer' | 'close' | 'network' | 'answers' | 'storage' | 'ended' | 'send'
  const commands: Command[] = ['begin', 'finish', 'answer', 'close', 'network', 'answers', 'storage', 'ended', 'send']

  /** Runs are started, ended and answered more often than anything fails. */
  const weighted = commands.map((c, i) => ({ arbitrary: fc.constant(c), weight: i < 3 ? 4 : 1 }))

  it('in any order of starting, closing, losing network and storage: what was reported as kept arrives, once', async () => {
    let arrived = 0
    await fc.assert(
      fc.asyncProperty(fc.array(fc.oneof(...weighted), { minLength: 15, maxLength: 40 }), async (order) => {
        const { state, server, open } = world()
        let page = open()
        let on: Life | undefined
        const promised = new Set<string>()
        const made = new Map<string, string>()
        for (const command of order) {
          if (command === 'begin') {
            on = await page.begin({ ...sent, lanes: [{ lane: 'g1' }] })
            made.set(on.lanes[0]!.run, on.id)
          } else if (command === 'finish') {
            if (on) await page.finish(on, 'whole', [result('g1')])
            on = undefined
          } else if (command === 'answer') {
            const [life] = await page.finished('T')
            if (!life) continue
            const outcome: SendOutcome = await page.answer(life, runsOf(life))
            if (outcome === 'sent') expect(server.has(life.lanes[0]!.run)).toBe(true)
            if (outcome === 'kept' || outcome === 'sent') promised.add(life.lanes[0]!.run)
          } else if (command === 'close') {
            page = open()
            on = undefined
          } else if (command === 'send') await page.sendWaiting()
          else state[command] = !state[command]
        }
        Object.assign(state, { network: true, answers: true, storage: true, ended: false })
        page = open()
        await page.sendWaiting()
        for (const id of promised) expect(server.has(id)).toBe(true)
        // Every row belongs to a run that began, and no run has two.
        const lives = [...server.keys()].map((id) => made.get(id))
        expect(lives).not.toContain(undefined)
        expect(new Set(lives).size).toBe(lives.length)
        expect(await page.waiting()).toEqual([])
        arrived += server.size
      }),
      { numRuns: process.env.VERIFY ? 3000 : 100 },
    )
    // Runs do get through, so the law says something.
    expect(arrived).toBeGreaterThan(100)
  })
})
