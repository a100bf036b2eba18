import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { afterAll, afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { effectScope } from 'vue'
import { sessionSeconds } from '../../core/src/timing/sessionSeconds.ts'
import { newSettings, type Session } from '@esfuerzo/core'
import { intents, type Draft } from '@esfuerzo/core/draft'
import { addressOf, knownBefore, withAddress, type KnownBefore } from '../src/draft/askFrom.ts'
import DraftPage from '../src/draft/DraftPage.vue'
import { useDrafts } from '../src/draft/useDrafts.ts'
import { library } from '../src/repertoire/library.ts'
import type { Jobs } from '../src/workers/jobs.ts'
import { open, serve, type Answers } from './support/pages.ts'
import { coreJobs } from './support/workers.ts'

/** What the worker is asked, and the answer it is made to give instead of a draft. */
const asked: Jobs['draft']['asked'][] = []
let instead: (ask: Jobs['draft']['asked']) => 'draft' | 'nothing' | Promise<never> = () => 'draft'
afterAll(() => void (coreJobs.asked = () => 'run'))
let answers: Answers
beforeEach(() => {
  setActivePinia(createPinia())
  asked.length = 0
  instead = () => 'draft'
  coreJobs.asked = (_, ask) => {
    asked.push(ask as Jobs['draft']['asked'])
    return instead(ask as Jobs['draft']['asked'])
  }
  answers = {
    'GET /api/workouts': () => ({ workouts: [] }),
    'GET /api/settings': () => newSettings('Atlantic/Azores'),
    'GET /api/moves': () => ({ moves: [] }),
    'GET /api/moves/used': () => ({ used: [] }),
  }
  serve(answers)
})
let scope = effectScope()
afterEach(() => {
  vi.restoreAllMocks()
  scope.stop()
  scope = effectScope()
})
const drafting = () => scope.run(useDrafts)!
const known = (): Promise<KnownBefore> => knownBefore(undefined, undefined)
const ask = async (more: Partial<KnownBefore> = {}) => ({
  ...(await known()),
  ...more,
  known: new Set<string>(),
  seed: 7,
})
const rowIn = (draft: Draft, at: number) => ({ part: 'main' as const, station: stationsIn(draft)[at]! })
const stationsIn = ({ session }: Draft) =>
  session.sections
    .filter((s) => s.role === 'main')
    .flatMap((s) => s.blocks.flatMap((b) => ('stations' in b ? b.stations : [])))

describe('three drafts', () => {
  it('appear one after the other, each with another skill; a kept row stays until its box is unticked', async () => {
    const { drafts, make, keep, keptOf } = drafting()
    await make(await ask())
    expect(new Set(intents.map((i) => drafts.value[i]!.thread.move)).size).toBe(3)
    keep('work', rowIn(drafts.value.work!, 1))
    const kept = [...keptOf('work')]
    await make({ ...(await ask()), seed: 99 }, ['work'])
    const again = drafts.value.work!
    const at = stationsIn(again).findIndex((s) => kept[0] === `main ${s.cells.all.move}`)
    expect(at).toBeGreaterThanOrEqual(0)
    // Its ids are different by now: it is recognized by its move.
    keep('work', rowIn(again, at))
    expect([...keptOf('work')]).toEqual([])
  })

  it('if one of them is impossible the others still appear', async () => {
    instead = ({ intent }) => (intent === 'learn' ? 'nothing' : 'draft')
    const { drafts, make, making, problem } = drafting()
    await make(await ask())
    expect([drafts.value.learn, problem.value, making.value]).toEqual([null, '', undefined])
    expect(drafts.value.work && drafts.value.play).toBeTruthy()
  })

  it('when stopped, finished ones stay, and nothing follows', async () => {
    instead = ({ intent }) => (intent === 'work' ? new Promise<never>(() => {}) : 'draft')
    const { drafts, make, making, stop } = drafting()
    void make(await ask())
    await vi.waitFor(() => expect(making.value).toBe('work'))
    stop()
    await flushPromises()
    expect([Boolean(drafts.value.learn), drafts.value.work, making.value]).toEqual([true, undefined, undefined])
  })
})

describe('the conditions', () => {
  it('are in the address, and are read from it; invalid ones are ignored', async () => {
    const before = await known()
    const other: KnownBefore = {
      ...before,
      aim: 'balance',
      minutes: 12,
      groups: before.groups.slice(1),
      home: { ...before.home, space: 'run', quiet: true, company: 'together', kit: ['bottle'] },
    }
    const query = Object.fromEntries(Object.entries(addressOf(other, 7)).map(([key, value]) => [key, String(value)]))
    const read = withAddress(before, query, { gradeNames: undefined, fixed: false })
    expect({ ...read, groups: read.groups.map((g) => g.grades) }).toEqual({
      ...other,
      groups: other.groups.map((g) => g.grades),
    })
    const wrong = { aim: 'fame', minutes: '900', space: 'moon', kit: 'sword', grades: '0-99', quiet: '', alone: 'x' }
    expect(withAddress(before, wrong, { gradeNames: undefined, fixed: false })).toEqual({
      ...before,
      home: { ...before.home, company: 'together' },
    })
    // A session's own groups are fixed.
    expect(withAddress(before, query, { gradeNames: undefined, fixed: true }).groups).toEqual(before.groups)
  })
})

describe('the page of drafts', () => {
  it('says what would make an impossible draft possible, and takes another as a session', async () => {
    instead = ({ intent }) => (intent === 'play' ? 'nothing' : 'draft')
    let made: unknown
    answers['POST /api/workouts'] = (body) => {
      made = body
      return { id: '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d', revision: 1 }
    }
    const { words, press, router } = await open(DraftPage)
    await vi.waitFor(() => expect(words()).toContain('No session fits this focus'))
    expect(router.currentRoute.value.query).toMatchObject({ aim: 'strength', minutes: '20', grades: '0-1.2-3.4-5-6' })
    await vi.waitFor(() => expect(document.querySelectorAll('.draft .do').length).toBeGreaterThan(0))
    await press(/^Use “/)
    await flushPromises()
    expect(made).toMatchObject({ document: { minutes: 20 } })
  })

  it('shows a lane’s length as it would be taken: including the talk about new exercises', async () => {
    answers['GET /api/moves/used'] = () => ({ used: [{ move: 'squat', last: '2026-11-20T10:00:00.000Z' }] })
    let made: Session | undefined
    answers['POST /api/workouts'] = (body) => {
      made = (body as { document: Session }).document
      return { id: '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d', revision: 1 }
    }
    await open(DraftPage)
    await vi.waitFor(() => expect(document.querySelectorAll('.draft .do')).toHaveLength(3))
    const card = [...document.querySelectorAll('.draft')].find((c) => c.querySelector('.said input'))!
    const box = card.querySelector<HTMLInputElement>('.said input')!
    const talk = Number(/Add time to explain, (\d+) s/.exec(box.closest('label')!.textContent!)![1])
    const seconds = () =>
      [...card.querySelectorAll('.lane > b')].map((b) => {
        const [minutes, rest] = b.textContent!.trim().split(':').map(Number)
        return minutes! * 60 + rest!
      })
    const [before, wasOn] = [seconds(), box.checked]
    box.click()
    await flushPromises()
    expect(talk).toBeGreaterThan(0)
    await vi.waitFor(() => expect(Math.abs(seconds()[0]! - before[0]!)).toBeGreaterThan(talk / 2))
    // With the talk, and as it is taken.
    if (wasOn) box.click()
    card.querySelector<HTMLButtonElement>('.do .main')!.click()
    await vi.waitFor(() => expect(made?.sections.map((s) => s.title)).toContain('What is new'))
    await vi.waitFor(() => expect(seconds()).toEqual(Object.values(sessionSeconds(made!, library))))
  })

  it('offers no buttons below a draft that is still growing', async () => {
    const frames: FrameRequestCallback[] = []
    vi.spyOn(window, 'requestAnimationFrame').mockImplementation((draw) => frames.push(draw))
    await open(DraftPage)
    const drawn = () => document.querySelectorAll('.draft .lane').length
    const offered = () => document.querySelectorAll('.draft .do').length
    await vi.waitFor(() => expect(document.querySelectorAll('.draft')).toHaveLength(3))
    const draw = async () => {
      frames.splice(0).forEach((work) => work(performance.now()))
      await flushPromises()
    }
    for (let i = 0; i < 200 && drawn() < 9; i++) {
      expect(offered()).toBe(0)
      await draw()
    }
    for (let i = 0; i < 200 && frames.length; i++) await draw()
    expect([drawn(), offered(), frames.length]).toEqual([9, 3, 0])
  })

  it('keeps the address when another is requested: it leads back to the same three', async () => {
    const { press, router } = await open(DraftPage)
    await vi.waitFor(() => expect(document.querySelectorAll('.draft')).toHaveLength(3))
    await vi.waitFor(() =>
      expect(document.querySelector('.ask button[type=submit]')!.hasAttribute('disabled')).toBe(false),
    )
    await vi.waitFor(() => expect(document.querySelectorAll('.draft .do')).toHaveLength(3))
    const { seed } = router.currentRoute.value.query
    const before = asked.at(-1)!
    await press('New draft')
    await vi.waitFor(() => expect(asked.at(-1)!.ask.seed).not.toBe(before.ask.seed))
    expect(router.currentRoute.value.query.seed).toBe(seed)
  })
})
