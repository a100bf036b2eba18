import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { indexLibrary, newWorkout, publish, type Block, type Lane } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { createBell, type Bell } from '../src/player/bell.ts'
import { usePlayer } from '../src/player/usePlayer.ts'

const library = indexLibrary(libraryData)
const blocks: Block[] = [
  {
    id: 'b1',
    form: 'intervals',
    laps: { all: [{ work: 30, rest: 10 }] },
    stations: [
      { id: 's1', cells: { all: { move: 'jog', version: 'jog' } } },
      { id: 's2', cells: { all: { move: 'pogo', version: 'pogo' } } },
    ],
  },
  {
    id: 'b2',
    form: 'list',
    restAfter: { all: 0 },
    stations: [{ id: 's3', cells: { all: { move: 'squat', version: 'squat', dose: { unit: 'reps', amount: 10 } } } }],
  },
]
const base = newWorkout('x', [[4]], 10, 1)
const lane: Lane = publish({ ...base, sections: [{ id: 'p1', role: 'main', title: 'Main', blocks }] }, library)
  .lanes[0]!

describe('the player', () => {
  let now = 0
  const rung: [number, boolean, number][] = []
  const bell: Bell = {
    wake: async () => {},
    cancel: vi.fn(),
    scheduleEnd: (seconds, work, ticks) => void rung.push([seconds, work, ticks.length]),
  }
  beforeEach(() => {
    now = 0
    rung.length = 0
  })

  it('goes through the steps by the clock and schedules each bell ahead', async () => {
    const player = usePlayer(lane.steps, () => now, bell)
    const at = async (seconds: number) => {
      now = seconds
      player.look()
      await nextTick()
      return [player.step.value?.kind, player.view.value.secondsLeft]
    }
    expect(await at(0.4)).toEqual(['work', 30])
    expect(await at(29.5)).toEqual(['work', 1])
    expect(await at(33)).toEqual(['rest', 7])
    expect(player.next.value?.station).toBe('s2')
    expect(await at(75)).toEqual(['rest', 5])
    // Work 30 s then rest; rest 10 s, looked at 3 s late, then work; work missed; rest 10 s, 5 s late.
    expect(rung).toEqual([
      [30, false, 3],
      [7, true, 3],
      [5, true, 3],
    ])
  })

  it('waits in counted work until "done", and ends with what was done and skipped', async () => {
    const player = usePlayer(lane.steps, () => now, bell)
    player.skip()
    now = 60
    player.look()
    expect(player.step.value).toMatchObject({ kind: 'work', by: 'count', reps: 10 })
    expect(player.view.value.awaitsDone).toBe(true)
    player.done()
    expect(player.finished.value).toBe(true)
    expect(player.result.value).toEqual({ done: 2, skipped: 1 })
  })

  it('stands still while paused and goes on where it was', async () => {
    const player = usePlayer(lane.steps, () => now, bell)
    now = 12
    player.togglePause()
    now = 500
    player.look()
    expect([player.paused.value, player.view.value.secondsLeft]).toEqual([true, 18])
    player.togglePause()
    await nextTick()
    expect(rung.at(-1)![0]).toBeCloseTo(18, 5)
    expect(player.toGo.value).toBeCloseTo(lane.seconds.typical - 12, 5)
  })
})

it('a bell on a device without sound stays silent and breaks nothing', async () => {
  const silent = createBell(() => {
    throw new Error('no audio')
  })
  await silent.wake()
  silent.scheduleEnd(3, true, [2, 1])
  silent.cancel()
})

describe('the queue of runs', () => {
  const store = new Map<string, unknown>()
  const answers: (() => Response)[] = []
  beforeEach(() => {
    vi.resetModules()
    store.clear()
    vi.doMock('idb-keyval', () => ({
      createStore: () => ({}),
      set: async (key: string, value: unknown) => void store.set(key, value),
      del: async (key: string) => void store.delete(key),
      entries: async () => [...store],
    }))
    vi.stubGlobal('fetch', async () => answers.shift()!())
  })
  const json = (status: number, body: object) => () => new Response(JSON.stringify(body), { status })
  const run = { id: '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d' } as never

  it('keeps a run until the server has it', async () => {
    const { sendRun, sendQueued } = await import('../src/family/runQueue.ts')
    answers.push(
      () => {
        throw new TypeError('network')
      },
      json(503, { code: 'database-away', detail: '' }),
      json(200, { id: '1' }),
    )
    expect(await sendRun('T', run)).toBe('kept')
    expect(store.size).toBe(1)
    await sendQueued()
    expect(store.size).toBe(1)
    await sendQueued()
    expect(store.size).toBe(0)
  })

  it('gives up on one the server will never take, and says so', async () => {
    const { sendRun } = await import('../src/family/runQueue.ts')
    answers.push(json(410, { code: 'ended', detail: 'over' }))
    await expect(sendRun('T', run)).rejects.toMatchObject({ code: 'ended' })
    expect(store.size).toBe(0)
  })
})
