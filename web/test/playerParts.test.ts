import { flushPromises, mount } from '@vue/test-utils'
import { afterEach, describe, expect, it, vi } from 'vitest'
import { createSentences } from '../src/shared/sentences.ts'
import { newSession } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { publish, type Publication } from '@esfuerzo/core/publication'
import { courseOf, decodeHeartRate } from '@esfuerzo/core/run'
import { againstLast, askedOf } from '../src/family/asked.ts'
import { bluetoothBelt, radioOf, simulatedBelt } from '../src/player/belt.ts'
import en from '../src/player/locales/en.json'
import PlayerStage, { type LaneResult } from '../src/player/PlayerStage.vue'
import PulseHelper from '../src/player/PulseHelper.vue'
import { library } from '../src/repertoire/library.ts'

vi.stubGlobal('AudioContext', undefined)
afterEach(() => vi.useRealTimers())

const plugins = [createSentences('en', en)]

function published(text: string, grades: number[][] = [[4, 5, 6]]): Publication {
  const { groups } = newSession('x', grades, 20, library.version)
  const { workout: session, problems } = parse(`# Fog\n## Main\n${text}\n`, library, groups)
  if (problems.length) throw new Error(JSON.stringify(problems))
  return publish(session, library)
}
async function stageOf(publication: Publication, lanes = publication.lanes.map((l) => l.id)) {
  const stage = mount(PlayerStage, { props: { publication, lanes, speed: 1 }, global: { plugins } })
  await flushPromises()
  const button = (text: string) => stage.findAll('button').find((b) => b.text() === text)
  const press = async (text: string) => {
    await button(text)!.trigger('click')
    await flushPromises()
  }
  const results = () => (stage.emitted('finish')![0] as [LaneResult[]])[0]
  return { stage, button, press, results }
}

describe('forms that a child plays', () => {
  it('as many rounds as you can: stations are tapped when done, rounds counted to a tenth', async () => {
    const { stage, press, results } = await stageOf(published('amrap 4: 5 squats, 5 lunges'))
    expect(stage.text()).toContain('no rounds yet')
    await press('Done, next')
    await press('Round done')
    await press('Done, next')
    expect(stage.text()).toContain('1 round')
    await press('Stop')
    expect(results()[0]!.found).toMatchObject([{ result: { value: 1.5, unit: 'goes' } }])
  })

  it('a target: each throw is tapped where it landed, the score is recorded and can be undone', async () => {
    const { stage, press, button, results } = await stageOf(
      published('squat 5\ntarget 1 m = 1 and 2 m = 2, 2 throws, 1 round'),
    )
    for (let i = 0; i < 4 && !stage.find('.rings').exists(); i++) await press('Skip')
    await stage.findAll('.rings button')[1]!.trigger('click')
    expect(button('Done')!.attributes('disabled')).toBeDefined()
    await press('Missed')
    expect(stage.find('[data-testid=digits]').text()).toBe('2')
    await press('Undo the last throw')
    await stage.findAll('.rings button')[0]!.trigger('click')
    await press('Done')
    await press('Stop')
    expect(results()[0]!.found).toMatchObject([{ result: { value: 3, unit: 'score', lap: 1 } }])
  })

  it('a quiz shows the right answer and why, whatever was tapped', async () => {
    const { stage, press } = await stageOf(
      published('squat 5\nquiz\nask: What works? | *the thighs | the neck | because: they lift you'),
    )
    await press('Skip')
    for (let i = 0; i < 4 && !stage.find('.quiz').exists(); i++) await press('Skip')
    await press('the neck')
    expect(stage.text()).toContain('The answer is: the thighs.')
    expect(stage.text()).toContain('they lift you')
  })

  it('a game gets harder, and shows the task after a miss', async () => {
    const { stage, press, button } = await stageOf(
      published('squat 5\ngame 1 min\nrules: Statues in the fog\nharder: eyes shut near nothing'),
    )
    for (let i = 0; i < 4 && !stage.find('.game').exists(); i++) await press('Skip')
    expect(stage.text()).toContain('Statues in the fog')
    await press('Make it harder')
    expect(stage.text()).toContain('eyes shut near nothing')
    expect(button('Make it harder')).toBeUndefined()
  })

  it('sit and reach takes a reading for each trial, and can be skipped', async () => {
    const { stage, press, button, results } = await stageOf(
      published('squat 5\nmeasure sit and reach before, 2 trials'),
    )
    for (let i = 0; i < 4 && !stage.find('.measure').exists(); i++) await press('Skip')
    await press('We are ready')
    const [first, second] = stage.findAll('.measure input')
    await first!.setValue('-2,5')
    const asSaid = 'Done exactly like this'
    expect(button(asSaid)!.attributes('disabled')).toBeDefined()
    await second!.setValue('300')
    expect(stage.find('.measure').text()).toContain('It must be from -30 to 60.')
    expect(button(asSaid)!.attributes('disabled')).toBeDefined()
    await second!.setValue('3')
    await press(asSaid)
    expect(results()[0]!.found).toMatchObject([
      { result: { trial: 1, value: -2.5, how: { setUp: 'tape' } } },
      { result: { trial: 2, value: 3, how: { setUp: 'tape' } } },
    ])
  })

  it('a test records deviations by a tap each, and keeps them with its tries', async () => {
    const { stage, press, results } = await stageOf(published('squat 5\nmeasure sit and reach, 2 trials'))
    for (let i = 0; i < 4 && !stage.find('.measure').exists(); i++) await press('Skip')
    await press('We are ready')
    for (const input of stage.findAll('.measure input')) await input.setValue('20')
    await press('Done, but something was different')
    await press('Another set-up: soles against a step or a box')
    await press('I counted by myself')
    await press('Shoes on')
    await press("I hadn't moved before")
    await press('Done')
    const how = { setUp: 'step', counted: 'child', shoes: 'on', warm: false }
    expect(results()[0]!.found).toMatchObject([{ result: { how } }, { result: { how } }])
  })

  it('two lanes have a track each, wait for each other and finish together', async () => {
    const { stage, results } = await stageOf(published('squat 5\n### Next\nlunge 5', [[0], [4]]))
    expect(stage.findAll('.stage')).toHaveLength(2)
    const skip = async (lane: number) => {
      await stage
        .findAll('.stage')
        [lane]!.findAll('button')
        .find((b) => b.text() === 'Skip')!
        .trigger('click')
      await flushPromises()
    }
    await skip(0)
    for (let i = 0; i < 5 && !stage.text().includes('Breathe and wait'); i++) await skip(0)
    expect(stage.text()).toContain('The other group is nearly there')
    await stage
      .findAll('.bar button')
      .find((b) => b.text() === 'Stop')!
      .trigger('click')
    expect(results().map((r) => r.lane)).toHaveLength(2)
  })
})

describe('the pulse', () => {
  it('is counted for as long as chosen, and stored with its resolution', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval', 'performance'] })
    const helper = mount(PulseHelper, { props: { when: 'after' }, global: { plugins } })
    const press = (text: string) =>
      helper
        .findAll('button')
        .find((b) => b.text() === text)!
        .trigger('click')
    await press('6 s')
    await press('Count')
    expect(helper.text()).toContain('Find your pulse')
    await vi.advanceTimersByTimeAsync(4000)
    expect(helper.find('.big.num').text()).toBe('5')
    await vi.advanceTimersByTimeAsync(5200)
    await helper.find('input').setValue('12')
    expect(helper.text()).toContain('About 120 per minute')
    expect(helper.text()).toContain('changes it by 10')
    await press('Save')
    expect(helper.emitted('pulse')).toEqual([[{ beats: 12, seconds: 6, when: 'after' }]])
  })

  it('from a simulated belt uses the same bytes as a real one’s, and settles', async () => {
    vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] })
    const belt = simulatedBelt()
    const rates: number[] = []
    await belt.connect((bytes) => rates.push(decodeHeartRate(bytes).rate))
    await vi.advanceTimersByTimeAsync(120_000)
    belt.release()
    expect(rates[0]).toBe(148)
    expect(rates.at(-1)).toBeLessThan(100)
    const { length } = rates
    await vi.advanceTimersByTimeAsync(10_000)
    expect(rates).toHaveLength(length)
  })

  it('from a real belt is requested by the standard service and characteristic', async () => {
    const measurement = Object.assign(new EventTarget(), {
      value: new DataView(Uint8Array.of(0, 88).buffer),
      startNotifications: async () => undefined,
    })
    const asked: string[] = []
    const disconnect = vi.fn()
    const radio = {
      requestDevice: async ({ filters }: { filters: { services: string[] }[] }) => {
        asked.push(...filters[0]!.services)
        const getCharacteristic = async (name: string) => (asked.push(name), measurement)
        const server = { getPrimaryService: async (name: string) => (asked.push(name), { getCharacteristic }) }
        return { gatt: { connect: async () => server, disconnect } }
      },
    }
    const belt = bluetoothBelt(radio)
    const rates: number[] = []
    await belt.connect((bytes) => rates.push(decodeHeartRate(bytes).rate))
    measurement.dispatchEvent(new Event('characteristicvaluechanged'))
    belt.release()
    expect([asked, rates]).toEqual([['heart_rate', 'heart_rate', 'heart_rate_measurement'], [88]])
    expect(disconnect).toHaveBeenCalled()
    expect(radioOf({} as Navigator)).toBeUndefined()
  })
})

describe('results after a run', () => {
  const publication = published('2 laps 20/10\nsquat\nlunge')
  publication.sections[0]!.blocks[0]!.stations[0]!.record = 'reps'

  it('are asked for if the session records them, one box per lap', () => {
    const asked = askedOf(publication, publication.lanes[0]!, (move) => move)
    expect(asked).toMatchObject([{ unit: 'reps', laps: [1, 2] }])
    expect(courseOf(publication, ['nobody']).lanes).toEqual([])
  })

  it('have one box if chance decides how often a station comes', () => {
    const drawn = published('coin, 6 flips\nheads: squat 10\ntails: lunge 8')
    for (const station of drawn.sections[0]!.blocks[0]!.stations) station.record = 'reps'
    expect(askedOf(drawn, drawn.lanes[0]!, (move) => move).map((a) => a.laps)).toEqual([[1], [1]])
  })

  it('are compared with last time at the same place, laps together, and with nothing if there was none', () => {
    const at = { block: 'b', station: 's' }
    const result = (value: number, lap: number) => ({ ...at, lap, value, unit: 'reps' as const })
    expect(againstLast([result(5, 1), result(6, 2)], [result(9, 1)], at)).toEqual({ now: 11, last: 9 })
    expect(againstLast([result(5, 1)], undefined, at)).toBeUndefined()
    expect(againstLast([], [result(9, 1)], at)).toBeUndefined()
  })
})
