import { beforeEach, describe, expect, it, vi } from 'vitest'
import { indexLibrary, newSession, type Block } from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import { courseOf, type Start } from '@esfuerzo/core/run'
import { libraryData } from '@esfuerzo/library'
import { createAudioClock, type Planned } from '../src/player/audioClock.ts'
import { createSpeech } from '../src/player/speech.ts'
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
const base = newSession('x', [[4]], 10, 1)
const sent = publish({ ...base, sections: [{ id: 'p1', role: 'main', title: 'Main', blocks }] }, library)
const course = courseOf(sent, ['g1'])
const { lane } = course.lanes[0]!

describe('the player', () => {
  let now = 0
  const planned = new Map<string, Planned>()
  const starts: Start[] = []
  const clock = {
    now: () => now,
    plan: (sounds: readonly Planned[]) => sounds.forEach((s) => planned.has(s.key) || planned.set(s.key, s)),
    cancel: () => [...planned].forEach(([key, s]) => s.at > now && planned.delete(key)),
  }
  const run = (more = {}) => usePlayer(course, { clock, onStart: (s) => void starts.push(s), ...more })
  const bells = () => [...planned.values()].filter((s) => s.sound !== 'tick').map((s) => [s.at, s.sound])
  beforeEach(() => {
    now = 0
    planned.clear()
    starts.length = 0
  })

  it('goes through the steps by the clock, with every bell scheduled long before', () => {
    const player = run()
    const [first] = player.lanes
    const at = (seconds: number) => {
      now = seconds
      player.look()
      return [first!.step.value?.kind, first!.view.value.secondsLeft]
    }
    expect(bells()).toEqual([
      [0, 'work'],
      [15, 'half'],
    ])
    expect(at(0.4)).toEqual(['work', 30])
    expect(at(29.5)).toEqual(['work', 1])
    expect(bells()).toContainEqual([30, 'rest'])
    expect(bells()).toContainEqual([40, 'work'])
    // Updated 3 s late: the bells rang in time all the same, and none rings twice.
    expect(at(33)).toEqual(['rest', 7])
    expect(first!.next.value?.step.station).toBe('s2')
    expect(at(75)).toEqual(['rest', 5])
    expect(starts.map((s) => [s.index, s.at])).toEqual([
      [1, 30],
      [2, 40],
      [3, 70],
    ])
    expect(new Set(bells().map(String)).size).toBe(bells().length)
  })

  it('cancels scheduled sounds when somebody skips, pauses or asks for more time', () => {
    const player = run()
    now = 5
    player.lanes[0]!.skip()
    expect(bells()).toContainEqual([5, 'rest'])
    expect(bells()).toContainEqual([15, 'work'])
    expect(bells()).not.toContainEqual([15, 'half'])
    now = 12
    player.lanes[0]!.more(10)
    expect(bells()).toContainEqual([25, 'work'])
    expect(bells()).not.toContainEqual([15, 'work'])
    player.togglePause()
    expect(bells().every(([at]) => (at as number) <= 12)).toBe(true)
  })

  it('waits in counted work until "done", and ends with what was done and skipped', () => {
    const player = run()
    const [first] = player.lanes
    first!.skip()
    now = 60
    player.look()
    expect(first!.step.value).toMatchObject({ kind: 'work', by: 'count', reps: 10 })
    expect(first!.view.value.awaitsDone).toBe(true)
    first!.done()
    expect(player.finished.value).toBe(true)
    expect(first!.result.value).toEqual({ done: 2, skipped: 1, easier: 0 })
  })

  it('records how long counted work took, and whether a tap or the clock ended it', () => {
    const player = run()
    now = 80
    player.look()
    const [mine] = player.lanes
    expect(mine!.step.value?.by).toBe('count')
    now = 92.4
    player.unseen()
    mine!.done()
    const [took] = player.counted.value[0]!
    expect(took).toMatchObject({ step: mine!.state.value.index - 1, by: 'tap', seen: false, spoken: false })
    expect(took!.seconds).toBeCloseTo(12.4, 1)
    expect(player.keep().counted).toEqual([[took]])
  })

  it('stands still while paused and continues from there', () => {
    const player = run()
    now = 12
    player.togglePause()
    now = 500
    player.look()
    expect([player.paused.value, player.lanes[0]!.view.value.secondsLeft]).toEqual([true, 18])
    player.togglePause()
    expect(bells()).toContainEqual([503, 'half'])
    expect(player.toGo.value).toBeCloseTo(lane.seconds.typical - 12, 5)
  })

  it('continues after a reload with its readings, paused', () => {
    const first = run()
    now = 33
    first.look()
    const finding = { result: { block: 'b1', station: 's1', value: 12, unit: 'reps' as const } }
    first.note(0, finding)
    first.note(0, { result: { ...finding.result, value: 14 } })
    const kept = JSON.parse(JSON.stringify(first.keep()))
    now = 9000
    const again = run({ kept })
    expect(again.paused.value).toBe(true)
    expect([again.lanes[0]!.step.value?.kind, again.lanes[0]!.view.value.secondsLeft]).toEqual(['rest', 7])
    expect(again.found.value[0]).toEqual([{ result: { ...finding.result, value: 14 } }])
    again.togglePause()
    now = 9008
    again.look()
    expect(again.lanes[0]!.view.value.secondsLeft).toBe(29)
  })

  it('at ten times the speed, bells come ten times as soon', () => {
    run({ speed: 10 })
    expect(bells()).toContainEqual([3, 'rest'])
  })
})

describe('the clock', () => {
  const context = { currentTime: 5, state: 'running', resume: async () => {} }
  it('continues without a jump when the device’s sound takes over, and stops while that is suspended', async () => {
    let wall = 100
    const clock = createAudioClock(
      () => context as AudioContext,
      () => wall,
    )
    expect(clock.now()).toBe(100)
    await clock.wake()
    expect(clock.now()).toBe(100)
    Object.assign(context, { currentTime: 7, state: 'suspended' })
    wall = 900
    expect([clock.now(), clock.asleep()]).toEqual([102, true])
  })

  it('uses the computer’s clock if the device’s claims to run and does not', async () => {
    let wall = 0
    const clock = createAudioClock(
      () => ({ ...context, currentTime: 0, state: 'running' }) as AudioContext,
      () => wall,
    )
    await clock.wake()
    expect(clock.now()).toBe(0)
    wall = 1
    expect(clock.now()).toBe(0)
    wall = 3
    const then = clock.now()
    wall = 10
    expect(clock.now() - then).toBe(7)
  })

  it('works on a device without sound', async () => {
    let wall = 1
    const clock = createAudioClock(
      () => {
        throw new Error('no audio')
      },
      () => wall,
    )
    await clock.wake()
    clock.plan([{ key: 'x', at: 3, sound: 'work', pitch: 1 }])
    clock.cancel()
    wall = 4
    expect(clock.now()).toBe(4)
  })
})

describe('the voice', () => {
  class Utterance {
    onstart?: () => void
    readonly text: string
    constructor(text: string) {
      this.text = text
    }
  }
  vi.stubGlobal('SpeechSynthesisUtterance', Utterance)
  const synthOf = (voices: { lang: string }[]) => ({
    getVoices: () => voices,
    cancel: vi.fn(),
    speak: vi.fn(),
  })
  const timers: (() => void)[] = []
  const setTimer = ((run: () => void) => timers.push(run)) as unknown as typeof setTimeout

  it('speaks with a voice of the language, and never with another', () => {
    const synth = synthOf([{ lang: 'es-MX' }])
    const speech = createSpeech(synth as unknown as SpeechSynthesis, setTimer)
    speech.say('Breathe', 'en')
    expect(synth.speak).not.toHaveBeenCalled()
    speech.say('Respira', 'es')
    expect(synth.speak.mock.calls[0]![0]).toMatchObject({ text: 'Respira', lang: 'es-MX' })
  })

  it('gives up on a device that does not start to speak', () => {
    const synth = synthOf([{ lang: 'en-GB' }])
    const speech = createSpeech(synth as unknown as SpeechSynthesis, setTimer)
    speech.say('one', 'en')
    timers.at(-1)!()
    speech.say('two', 'en')
    expect(synth.speak).toHaveBeenCalledTimes(1)
    createSpeech(undefined).say('nobody', 'en')
  })
})
