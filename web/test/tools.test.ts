import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { sessionSeconds } from '../../core/src/timing/sessionSeconds.ts'
import { minutesText, readSession, setDetails, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { fit } from '@esfuerzo/core/tools'
import { useComposer } from './support/composer.ts'
import ArrangePanel from '../src/compose/tools/ArrangePanel.vue'
import ChancePanel from '../src/compose/tools/ChancePanel.vue'
import FinishPanel from '../src/compose/tools/FinishPanel.vue'
import FitPanel from '../src/compose/tools/FitPanel.vue'
import { fitText } from '../src/compose/tools/fitText.ts'
import { findingsText, orderMark } from '../src/compose/tools/findingsText.ts'
import { spreadCurve } from '../src/compose/tools/spreadCurve.ts'
import RowAsk from '../src/compose/tools/RowAsk.vue'
import { i18n } from '../src/words/i18n.ts'
import { library } from '../src/repertoire/library.ts'
import { open, serve } from './support/pages.ts'

const { t } = i18n.global
const typed = (...lines: string[]): Session => {
  const { workout: session, problems } = parse(['# Long', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return readSession(session)
}
const long = typed(
  'minutes 6; groups K-1, 4-6',
  '## Main part',
  '3 laps 30/30 [4-6: 40/30]',
  'squat',
  'jumping jack',
  'lunge',
  '## Game',
  'game 2 min',
)
const coin = typed(
  'minutes 20; groups 2-3',
  '## Main part',
  'coin, 6 flips',
  'heads: squat 10',
  'heads: lunge 8',
  'tails: plank 10 s',
)

beforeEach(() => {
  setActivePinia(createPinia())
  serve({})
})
/** The composer with a session on screen. */
function composing(document: Session) {
  const composer = useComposer()
  composer.edit(() => document)
  return composer
}
const blockOf = (w: Session, form: string) => w.sections.flatMap((s) => s.blocks).find((b) => b.form === form)!.id

describe('ways to fit', () => {
  it('names the changes, shows every lane with the ticked ones, and is one undo step', async () => {
    const composer = composing(long)
    const { words, press } = await open(FitPanel, { fill: false })
    expect(words()).toContain('every lane ends within 6 minutes')
    expect(words()).toContain('Main part: ')
    const way = fit(long, library).ways[0]!
    const lanes = [...document.querySelectorAll('tr')]
    expect(lanes).toHaveLength(2)
    // Without the first change a lane is late again, and the text says by how much.
    const [first] = document.querySelectorAll<HTMLInputElement>('input[type=checkbox]')
    first!.click()
    await nextTick()
    expect(words()).toMatch(/over/)
    first!.click()
    await nextTick()
    await press(/^Apply /)
    expect(sessionSeconds(composer.document, library)).toEqual(way.after)
    expect(composer.message).toMatchObject({ text: 'fitTaken', undo: true })
    composer.undo()
    expect(composer.document).toEqual(long)
  })

  it('offers other ways, and applies the chosen one', async () => {
    const late = setDetails(long, { minutes: 10 })
    const composer = composing(late)
    const { press } = await open(FitPanel, { fill: false })
    const other = fit(late, library).ways[1]!
    document.querySelectorAll<HTMLInputElement>('input[type=radio]')[1]!.click()
    await nextTick()
    await press(/^Apply /)
    expect(sessionSeconds(composer.document, library)).toEqual(other.after)
  })

  it('says what prevents a session from being in time', async () => {
    composing(setDetails(long, { minutes: 2 }))
    const { words } = await open(FitPanel, { fill: false })
    expect(words()).toContain("It can't be shortened enough")
    expect(words()).toMatch(/Game\s*fixed\s*2:00/)
  })

  it('says when all is well, and fills up what is short', async () => {
    const even = typed('minutes 12; groups K-1, 4-6', '## Main part', '10 laps 30/30', 'squat')
    const lasts = sessionSeconds(even, library)
    composing(setDetails(even, { minutes: Math.ceil(Math.max(...Object.values(lasts)) / 60) }))
    expect((await open(FitPanel, { fill: false })).words()).toContain('Every lane ends within')
    // A tenth of the minutes or more is reported as a real difference.
    composing(setDetails(even, { minutes: 20 }))
    const left = minutesText(1200 - lasts.g1!)
    expect((await open(FitPanel, { fill: false })).words()).toContain(
      `Every lane ends within 20 minutes. Unused: ${left}.`,
    )
    composing(setDetails(long, { minutes: 14 }))
    expect((await open(FitPanel, { fill: false })).words()).toMatch(
      /within 14 minutes\. Unused: A \d+:\d\d, B \d+:\d\d\./,
    )
    expect((await open(FitPanel, { fill: true })).words()).toContain('the session fills 14 minutes')
  })

  it('offers nothing while the session has changed', async () => {
    const composer = composing(long)
    const { words } = await open(FitPanel, { fill: false })
    composer.edit((w) => setDetails(w, { minutes: 7 }))
    await nextTick()
    expect(words()).not.toContain('Apply')
    await vi.waitFor(() => expect(words()).toContain('within 7 minutes'))
  })
})

describe('a change in words', () => {
  const change = { block: blockOf(long, 'intervals'), steps: -1, scope: 'all' as const }
  const said = (more: object) =>
    fitText({ ...change, lever: 'rest', from: {}, to: {}, ...more } as never, long, library, t).what

  it('gives one step for all, one for each, or a lane’s own', () => {
    expect(said({ from: { g1: 30, g2: 30 }, to: { g1: 25, g2: 25 } })).toBe('Rest 30\u00a0s → 25\u00a0s')
    expect(said({ lever: 'work', from: { g1: 30, g2: 40 }, to: { g1: 25, g2: 35 } })).toBe(
      'Work 5\u00a0s less for each',
    )
    expect(said({ lever: 'laps', from: { g1: 3, g2: 4 }, to: { g1: 2, g2: 2 } })).toBe('Laps A 3 → 2, B 4 → 2')
    expect(said({ lever: 'cap', from: { g1: 180, g2: 180 }, to: { g1: 120, g2: 120 } })).toBe('Time limit 3:00 → 2:00')
    expect(said({ lever: 'stay' })).toBe('No change')
    const station = long.sections[0]!.blocks.flatMap((b) => ('stations' in b ? b.stations : []))[0]!.id
    expect(said({ lever: 'out', station })).toBe('Without Squat')
    const own = fitText({ ...change, scope: 'g2', lever: 'rest', from: { g2: 30 }, to: { g2: 35 } }, long, library, t)
    expect([own.where, own.letters]).toEqual(['Main part', ['B']])
  })
})

describe('arranging', () => {
  const order = typed(
    'minutes 20; groups 2-3',
    '## Main part',
    '2 laps 30/15',
    'squat',
    'plank',
    'jumping jack',
    'push-up',
    'high knees',
    'curl-up',
  )

  it('shows what it saves, keeps pins, and is one undo step', async () => {
    const composer = composing(order)
    const { words, press } = await open(ArrangePanel, { block: blockOf(order, 'intervals') })
    expect(words()).toContain('Trips to the floor: 2 instead of 3')
    await press(/^Keep Plank here/)
    await vi.waitFor(() => expect(document.querySelector('[aria-pressed=true]')).not.toBeNull())
    await vi.waitFor(() => expect(words()).toMatch(/Use this order|order is good/))
    composer.undo()
    await nextTick()
    await vi.waitFor(() => expect(words()).toContain('Use this order'))
    await press('Use this order')
    expect(composer.message).toMatchObject({ text: 'arranged', undo: true })
    await vi.waitFor(() => expect(words()).toContain('The order is good'))
    composer.undo()
    expect(composer.document).toEqual(order)
  })

  it('is offered on the row if its order has a problem', async () => {
    const composer = composing(order)
    const block = composer.document.sections[0]!.blocks[0]!
    const { words, press } = await open(RowAsk, { block, role: 'main' })
    expect(words()).toContain('3 trips to the floor')
    await press(/Arrange the stations/)
    expect(composer.tool).toEqual({ kind: 'arrange', block: block.id })
    expect((await open(RowAsk, { block, role: 'warmUp' })).words()).not.toContain('trips')
  })

  it('words what is gone, fewer, or unchanged', () => {
    const none = { trips: 0, muscles: 0, families: 0, hardJumps: 0, thuds: 0, things: 0, seconds: 20 }
    expect(findingsText({ ...none, trips: 5, muscles: 1, seconds: 30 }, { ...none, trips: 2 }, t)).toEqual([
      'Trips to the floor: 2 instead of 5',
      'No muscle twice in a row',
      '10 s less for changing position, per lap',
    ])
    expect(findingsText(none, none, t)).toEqual([])
    expect(orderMark(none, t)).toBeUndefined()
    expect(orderMark({ ...none, hardJumps: 1, trips: 4 }, t)).toBe('hard landings')
  })
})

describe('chance and spread', () => {
  it('shows how long a coin sheet takes, what rows bring, and what may never come up', async () => {
    const composer = composing(coin)
    const block = blockOf(coin, 'chance')
    const { words } = await open(ChancePanel, { block })
    expect(words()).toMatch(/usually \d:\d\d to \d:\d\d; 1 in 20 takes over/)
    // The second one under heads is never reached if heads comes up at most once in six flips: 7 in 64.
    expect(words()).toContain('never comes up for 1 child in 9')
    const { press } = await open(RowAsk, { block: composer.document.sections[0]!.blocks[0]!, role: 'main' })
    await press('How long will it take?')
    expect(composer.tool).toEqual({ kind: 'chance', block })
  })

  it('says whether everybody finishes, and leads to ways to fit if not', async () => {
    const composer = composing(setDetails(long, { minutes: 7 }))
    const { words, press } = await open(FinishPanel)
    await flushPromises()
    expect(words()).toContain('None finish within 7 minutes')
    expect(words()).toContain('The clock sets the pace')
    await press('Fit the planned minutes')
    expect(composer.tool).toEqual({ kind: 'fit' })
  })

  it('draws a curve that reaches zero on both sides', () => {
    expect(spreadCurve({ letter: 'A', bins: { from: 60, width: 30, shares: [0.25, 0.75] } })).toEqual([
      [1, 0],
      [1.25, 0.5],
      [1.75, 1.5],
      [2, 0],
    ])
  })
})
