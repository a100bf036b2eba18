import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createSentences } from '../src/shared/sentences.ts'
import { createMemoryHistory, createRouter } from 'vue-router'
import type { Component } from 'vue'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, newSession, readDocument, setStation, type Session } from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import { runDocument, type Run } from '@esfuerzo/core/run'
import en from '../src/family/locales/en.json'
import playerEn from '../src/player/locales/en.json'
import type { ChildBook } from '../src/family/book.ts'
import type { Life } from '../src/family/runLife.ts'
import { trackGeometry } from '../src/player/trackGeometry.ts'
import { library } from '../src/repertoire/library.ts'

/** The device's store of runs, and of the children's books; everything else a page keeps is cleared. */
const disk = new Map<string, Life>()
const books = new Map<string, ChildBook>()
vi.mock('../src/shared/device/deviceStore.ts', () => ({
  deviceStore: (purpose: string) => ({
    get: async () => undefined,
    set: async (id: string, life: Life) => void (purpose === 'runs' && disk.set(id, life)),
    remove: async (id: string) => void disk.delete(id),
    update: async (id: string, change: (book?: ChildBook) => ChildBook) => void books.set(id, change(books.get(id))),
    entries: async () => (purpose === 'runs' ? [...disk] : []),
  }),
}))
let lives = 0
/** Puts a run of the link's session on the device. */
function onDevice(lane: string, more: Partial<Life>): string {
  const id = `life-${++lives}`
  const life = {
    id,
    token,
    sha256,
    title: 'Springs',
    lanes: [{ lane, run: `0b0c6d0e-4d5a-4a6f-9d6e-${String(lives).padStart(12, '0')}` }],
    startedAt: '2026-03-01T10:00:00.000Z',
    keptAt: Date.now(),
  }
  disk.set(id, { ...life, stage: 'underway', ...more })
  return id
}

const token = 'AbCdEfGhIjKlMnOpQrStUv'
/** A link of a class that has codes. */
const coded = 'CodesCodesCodesCodes22'
const sha256 = 'a'.repeat(64)

/** K–1 and 4–6: jumps with recorded reps, then a surprise. */
function session(): Session {
  let w = newSession(
    'Springs',
    [
      [0, 1],
      [4, 5, 6],
    ],
    20,
    library.version,
  )
  for (const move of ['squat-jump', 'one-leg-stand'])
    w = addStation(w, 'b2', cellsFor(library.moves.get(move)!, w.groups, 'intervals'))
  w = setStation(w, 's1', { record: 'reps' })
  const sections = w.sections.map((s) => (s.role === 'coolDown' ? { ...s, title: 'Secret island', surprise: true } : s))
  return {
    ...w,
    sections,
    aim: {
      ...w.aim,
      target: 'We are learning to land softly.',
      words: [{ word: 'power', meaning: 'strong and quick' }],
    },
  }
}
const sent: { url: string; run: Run; key: string | undefined }[] = []
/** The codes of the link's class with their pupils; none if the teacher gave out none. */
let codes: Record<string, string> = {}
const keyOf = (alias: string) =>
  `0b0c6d0e-4d5a-4a6f-9d6e-${String(alias.length).padStart(12, '0')}.device-nonce.${'m'.repeat(22)}`
/** The link of a session that asks for the minutes moved this week. */
const asking = 'asking-for-minutes-123'
const asksSha = 'b'.repeat(64)
let answerRun = (): Response | Promise<Response> => new Response('{"id":"x"}', { status: 200 })
async function fakeFetch(
  url: string,
  init: { method: string; body?: string; headers?: Record<string, string> },
): Promise<Response> {
  const json = (body: unknown) => new Response(JSON.stringify(body))
  if (url === `/api/go/${asking}`)
    return json({ sha256: asksSha, title: 'Springs', endsAt: '2099-01-01T00:00:00Z', codes: false })
  if ([token, coded].some((one) => url === `/api/go/${one}`)) {
    const given = Object.keys(codes).length > 0
    const kept = given && { keptUntil: '2027-07-31' }
    return json({ sha256, title: 'Springs', endsAt: '2099-01-01T00:00:00Z', codes: given, ...kept })
  }
  if (url === `/api/go/${coded}/code`) {
    const alias = codes[JSON.parse(init.body!).code as string]
    return alias
      ? json({ alias, key: keyOf(alias) })
      : new Response(JSON.stringify({ code: 'not-found', detail: '' }), { status: 404 })
  }
  if (url === `/snapshots/${sha256}`) return json(publish(session(), library))
  if (url === `/snapshots/${asksSha}`) return json(publish({ ...session(), asksMoved: true }, library))
  if (init.method === 'POST') {
    sent.push({ url, run: JSON.parse(init.body!), key: init.headers?.['pupil-key'] })
    return answerRun()
  }
  return new Response(JSON.stringify({ code: url.includes('Ended') ? 'ended' : 'not-found', detail: '' }), {
    status: 410,
  })
}
vi.stubGlobal('fetch', fakeFetch)

async function opened(load: () => Promise<{ default: Component }>, with_: string = token) {
  const page = { template: '<div />' }
  const names = ['front', 'run', 'done', 'book'].map((name) => ({
    path: name === 'book' ? '/book' : `/${name}/:token`,
    name,
    component: page,
  }))
  const router = createRouter({ history: createMemoryHistory(), routes: [{ path: '/', component: page }, ...names] })
  const i18n = createSentences('en', { ...en, ...playerEn })
  const wrapper = mount((await load()).default, { props: { token: with_ }, global: { plugins: [i18n, router] } })
  await flushPromises()
  return { wrapper, router }
}

beforeEach(() => {
  sent.length = 0
  codes = {}
  disk.clear()
  books.clear()
  answerRun = () => new Response('{"id":"x"}', { status: 200 })
})

describe('the front page', () => {
  const front = () => import('../src/family/FrontPage.vue')

  it('shows lanes with their lengths, words, care texts and cautions, and no surprise', async () => {
    const { wrapper } = await opened(front)
    expect(wrapper.findAll('.lane').map((l) => l.text())).toEqual(['AGrades K–1 6:00Start', 'BGrades 4–6 6:00Start'])
    const text = wrapper.text()
    for (const part of [
      'land softly',
      'power',
      'strong and quick',
      'Never in socks',
      'Stop when something hurts',
      'a grown-up stays near',
      'your doctor’s advice',
    ]) {
      expect(text).toContain(part)
    }
    expect(text).not.toContain('Secret island')
    expect(text).not.toMatch(/your name|e-mail|calorie|weight/i)
  })

  it('starts two lanes side by side, with the target', async () => {
    const { wrapper, router } = await opened(front)
    const button = (text: string) => wrapper.findAll('button').find((b) => b.text().includes(text))!
    await button('Two children').trigger('click')
    expect(button('Start both').attributes('disabled')).toBeDefined()
    for (const lane of wrapper.findAll('.lane')) await lane.trigger('click')
    await button('without a sound').trigger('click')
    await button('Start both').trigger('click')
    await flushPromises()
    expect(router.currentRoute.value).toMatchObject({ name: 'run', query: { lane: ['g1', 'g2'], target: 'quiet' } })
  })

  it('offers to continue an unfinished run, or to start again', async () => {
    const id = onDevice('g2', { player: {} as never })
    const { wrapper, router } = await opened(front)
    await wrapper
      .findAll('button')
      .find((b) => b.text() === 'Continue')!
      .trigger('click')
    await flushPromises()
    expect(router.currentRoute.value).toMatchObject({ name: 'run', query: { lane: ['g2'] } })
    expect(disk.has(id)).toBe(true)
    await wrapper.findAll('.lane')[0]!.trigger('click')
    await flushPromises()
    expect(disk.has(id)).toBe(false)
  })

  it('starts a lane with one tap', async () => {
    const { wrapper, router } = await opened(front)
    await wrapper.findAll('.lane')[1]!.trigger('click')
    await flushPromises()
    expect(router.currentRoute.value).toMatchObject({ name: 'run', params: { token }, query: { lane: ['g2'] } })
  })

  it('asks for a code if there are some, says whose it is and what is sent until when, and starts as that child', async () => {
    expect((await opened(front)).wrapper.text()).not.toContain('Who are you?')
    codes = { KT7M: 'Tern 4', BBBB: 'Plover 61' }
    const { wrapper, router } = await opened(front, coded)
    const press = async (text: string) => {
      await wrapper
        .findAll('button')
        .find((b) => b.text() === text)!
        .trigger('click')
      await flushPromises()
    }
    const line = () =>
      wrapper
        .findAll('p')
        .map((p) => p.text())
        .find((text) => text.startsWith('When you tap'))!
    expect(line()).toMatch(/without a name\. It is kept until .*2027/)
    expect(line()).not.toContain('pulse')
    await press('I have a code')
    await wrapper.find('form input').setValue('KT0M')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(wrapper.find('.problem').text()).toContain('You can also start without a code')
    await wrapper.find('form input').setValue('KT7M')
    await wrapper.find('form').trigger('submit')
    await flushPromises()
    expect(wrapper.text()).toContain('Your results are saved for Tern 4.')
    expect(wrapper.text()).not.toContain('Plover')
    expect(line()).toContain('as Tern 4')
    await wrapper.findAll('.lane')[0]!.trigger('click')
    await flushPromises()
    expect(router.currentRoute.value.query).toMatchObject({ lane: ['g1'], who: [keyOf('Tern 4').split('.')[0]] })
  })

  it.each([
    ['EndedEndedEndedEnded22', 'This session has ended'],
    ['NobodyMadeThisToken222', "This link doesn't work"],
    ['../../etc/passwd', "This link doesn't work"],
  ])('kindly says what is wrong with %s', async (wrong, words) => {
    const { wrapper } = await opened(front, wrong)
    expect(wrapper.find('h1').text()).toBe(words)
  })
})

describe('the page after', () => {
  const after = () => import('../src/family/AfterPage.vue')
  const finished = (lane: string, done = 6) =>
    onDevice(lane, {
      stage: 'finished',
      ended: done ? 'whole' : 'early',
      finishedAt: '2026-03-01T10:06:30.000Z',
      results: [{ lane, done, skipped: 1, easier: 0, found: [], counted: [counted] }],
    })
  const counted = { step: 4, seconds: 12.5, by: 'tap', seen: true, spoken: false } as const

  it('asks the youngest by faces, sends what was chosen and typed, and nothing that names a child', async () => {
    finished('g1')
    const { wrapper } = await opened(after)
    expect(wrapper.text()).toContain('6 stations in 6:30')
    expect(wrapper.findAll('.felt label').map((l) => l.text())).toEqual([
      'very easy',
      'easy',
      'just right',
      'hard',
      'very hard',
    ])
    await wrapper.findAll('.felt input')[3]!.setValue()
    const boxes = wrapper.findAll('.asked input')
    expect(boxes.map((b) => b.attributes('aria-label'))).toEqual([1, 2, 3].map((n) => `Frog jump, lap ${n}`))
    await boxes[0]!.setValue('1x2')
    await boxes[2]!.setValue('9')
    await wrapper.find('button.main').trigger('click')
    await flushPromises()
    expect(wrapper.find('[role=status]').text()).toContain('Sent')
    expect(sent[0]!.url).toBe(`/api/go/${token}/runs`)
    expect(sent[0]!.run).toMatchObject({
      format: 'esfuerzo.run',
      publication: sha256,
      group: 'g1',
      version: 2,
      steps: { done: 6, skipped: 1, easier: 0 },
      ended: 'whole',
      counted: [counted],
      felt: { scale: 'faces', value: 4 },
      results: [
        { block: 'b2', station: 's1', lap: 1, value: 12, unit: 'reps' },
        { block: 'b2', station: 's1', lap: 3, value: 9, unit: 'reps' },
      ],
    })
    expect(readDocument(runDocument, sent[0]!.run).version).toBe(3)
    expect(Object.keys(sent[0]!.run).sort()).toEqual([
      'counted',
      'ended',
      'felt',
      'finishedAt',
      'format',
      'group',
      'id',
      'publication',
      'results',
      'startedAt',
      'steps',
      'version',
      'zone',
    ])
  })

  it('sends a run for its child, and keeps a pulse here that nobody asked for', async () => {
    const pulse = { beats: 25, seconds: 10, when: 'after' } as const
    const run = '0b0c6d0e-4d5a-4a6f-9d6e-000000000099'
    onDevice('g1', {
      stage: 'finished',
      ended: 'whole',
      finishedAt: '2026-03-01T10:06:30.000Z',
      lanes: [{ lane: 'g1', run, pupil: { alias: 'Tern 4', key: keyOf('Tern 4') } }],
      results: [{ lane: 'g1', done: 6, skipped: 0, easier: 0, found: [{ pulse }], counted: [] }],
    })
    const { wrapper } = await opened(after)
    expect(wrapper.text()).toContain('Your teacher gets it under the alias Tern 4, without a name.')
    expect(wrapper.text()).toContain('Only for you: your pulse stays on this device.')
    await wrapper.find('button.main').trigger('click')
    await flushPromises()
    expect(sent).toMatchObject([{ key: keyOf('Tern 4'), run: { id: run } }])
    expect(sent[0]!.run).not.toHaveProperty('pulses')
    expect(JSON.stringify(sent[0]!.run)).not.toContain('Tern')
  })

  it('sends the minutes moved this week if the session asks, and says so before', async () => {
    onDevice('g1', {
      token: asking,
      sha256: asksSha,
      stage: 'finished',
      ended: 'whole',
      finishedAt: '2026-03-01T10:06:30.000Z',
      results: [{ lane: 'g1', done: 6, skipped: 0, easier: 0, found: [], counted: [] }],
    })
    const { wrapper } = await opened(after, asking)
    expect(wrapper.text()).toContain('Minutes moved this week: 7. They are sent too.')
    expect(wrapper.text()).toContain('We also send the minutes you moved this week.')
    await wrapper.find('button.main').trigger('click')
    await flushPromises()
    expect(sent[0]!.run).toMatchObject({ version: 3, movedMinutes: 7 })
  })

  it('asks the older ones from 0 to 10, and accepts a missing answer', async () => {
    finished('g2')
    const { wrapper } = await opened(after)
    expect(wrapper.findAll('.felt b').map((b) => b.text())).toEqual([
      '0',
      '1',
      '2',
      '3',
      '4',
      '5',
      '6',
      '7',
      '8',
      '9',
      '10',
    ])
    await wrapper.find('button.main').trigger('click')
    await flushPromises()
    expect(sent[0]!.run).not.toHaveProperty('felt')
    expect(sent[0]!.run.results).toEqual([])
  })

  it('has the run in the child’s book before the network has sent it', async () => {
    const run = disk.get(finished('g1'))!.lanes[0]!.run
    answerRun = () => new Promise(() => {})
    const { wrapper } = await opened(after)
    await wrapper.findAll('.asked input')[0]!.setValue('12')
    await wrapper.find('button.main').trigger('click')
    await flushPromises()
    expect(sent).toHaveLength(1)
    expect(wrapper.find('[role=status]').exists()).toBe(false)
    expect(wrapper.text()).toContain('My book')
    expect(books.get('')!.entries).toMatchObject([{ run, title: 'Springs', lines: [{ value: 12 }] }])
  })

  it('keeps the run while the network is away, and explains an ended link', async () => {
    finished('g1')
    answerRun = () => {
      throw new TypeError('network')
    }
    const away = (await opened(after)).wrapper
    await away.find('button.main').trigger('click')
    await flushPromises()
    expect(away.find('[role=status]').text()).toContain('Saved on this device')
    // The network is back: it is sent automatically, and the page says so.
    answerRun = () => new Response('{"id":"r"}', { status: 200 })
    window.dispatchEvent(new Event('online'))
    await vi.waitFor(() => expect(away.find('[role=status]').text()).toContain('Your teacher can see it now'))
    finished('g1')
    answerRun = () => new Response('{"code":"ended","detail":""}', { status: 410 })
    const over = (await opened(after)).wrapper
    await over.find('button.main').trigger('click')
    await flushPromises()
    expect(over.find('[role=status]').text()).toContain('may have ended')
  })

  it('is kind to a child who stopped early, and to one who arrives without a run', async () => {
    finished('g1', 0)
    const { wrapper } = await opened(after)
    expect(wrapper.text()).toContain("That's fine")
    expect(wrapper.find('h1').text()).toBe('Done for today')
    disk.clear()
    expect((await opened(after)).wrapper.text()).toContain("You haven't finished a session here yet")
  })
})

describe('the track', () => {
  it('is run once, clockwise from the top center, whatever the shape of the screen', () => {
    for (const [width, height] of [
      [1280, 716],
      [390, 720],
      [600, 600],
    ] as const) {
      const { pointAt, lane } = trackGeometry(width, height)
      const [top, right, bottom, left] = [0, 0.25, 0.5, 0.75].map(pointAt)
      for (const p of [top, bottom]) expect(p!.x).toBeCloseTo(width / 2, 6)
      for (const p of [left, right]) expect(p!.y).toBeCloseTo(height / 2, 6)
      expect(top!.y).toBeCloseTo(lane / 2 + 6, 6)
      expect(right!.x).toBeCloseTo(width - lane / 2 - 6, 6)
      expect(pointAt(1)).toEqual({ x: expect.closeTo(top!.x, 6), y: expect.closeTo(top!.y, 6) })
      expect([pointAt(-1), pointAt(2)]).toEqual([pointAt(0), pointAt(1)])
    }
  })

  it('has parallel lines that keep their distance all the way around', () => {
    const [middle, inner] = [trackGeometry(900, 500), trackGeometry(900, 500, 6)]
    const around = Array.from({ length: 400 }, (_, i) => middle.pointAt(i / 400))
    for (let i = 0; i < 40; i++) {
      const p = inner.pointAt(i / 40)
      const nearest = Math.min(...around.map((q) => Math.hypot(p.x - q.x, p.y - q.y)))
      expect(nearest).toBeGreaterThan(5.5)
      expect(nearest).toBeLessThan(7)
    }
  })

  it('progresses evenly: equal shares are equal distances', () => {
    const { pointAt, length } = trackGeometry(900, 500)
    const steps = Array.from({ length: 1000 }, (_, i) => pointAt(i / 1000))
    for (let i = 1; i < steps.length; i++) {
      const way = Math.hypot(steps[i]!.x - steps[i - 1]!.x, steps[i]!.y - steps[i - 1]!.y)
      expect(Math.abs(way - length / 1000)).toBeLessThan(0.02)
    }
  })
})
