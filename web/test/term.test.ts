import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { newSettings } from '@esfuerzo/core'
import { newTerm, type Term } from '@esfuerzo/core/term'
import { parse } from '@esfuerzo/core/notation'
import { library } from '../src/repertoire/library.ts'
import TermPage from '../src/term/TermPage.vue'
import TermsPage from '../src/term/TermsPage.vue'
import { open, Refusal, serve, type Answers, type Opened } from './support/pages.ts'

/** Another term each time: a late save by the previous test's page must not affect this one's. */
let id: string
const sessionId = (n: number) => `00000000-0000-4000-8000-00000000000${n}`
const forms = [
  '3 laps 30/30',
  'coin, 6 flips',
  '3 rounds',
  'amrap 5 min',
  'coin, 8 flips',
  '2 rounds',
  '2 laps 40/20',
  'amrap 6 min',
]
const sessions = forms.map((form, n) => {
  const rows = form.startsWith('coin') ? ['heads: squat 10', 'tails: lunge 8'] : ['squat 8', 'push-up 5']
  const text = [`# Session ${n}`, 'minutes 20; groups 2-3', '## Main part', form, ...rows].join('\n')
  return { id: sessionId(n), document: parse(text, library).workout }
})
const summary = ({ id: session, document }: (typeof sessions)[number]) => ({
  id: session,
  title: document.title,
  minutes: document.minutes,
  groups: [{ letter: 'A', name: '2–3' }],
  revision: 1,
  updatedAt: '2027-01-01T00:00:00.000Z',
  sentAt: null,
  runs: 0,
})
const start: Term = { ...newTerm('Winter', '2027-01-04'), weeks: 4 }
let stored: Term
let answers: Answers
let calls: { key: string; body: unknown }[]
beforeEach(() => {
  id = crypto.randomUUID()
  setActivePinia(createPinia())
  // Past days are not planned.
  vi.useFakeTimers({ toFake: ['Date'], now: new Date('2027-01-02T09:00:00Z') })
  stored = start
  let revision = 1
  answers = {
    [`GET /api/terms/${id}`]: () => ({ id, revision, updatedAt: '2027-01-01T00:00:00.000Z', document: stored }),
    [`PUT /api/terms/${id}`]: (body) => {
      stored = (body as { document: Term }).document
      return { id, revision: ++revision, updatedAt: '2027-01-01T00:00:00.000Z' }
    },
    [`GET /api/terms/${id}/done`]: () => ({ done: [{ place: 'd1', homes: 11 }], children: 22 }),
    'GET /api/workouts': () => ({ workouts: sessions.map(summary) }),
    'GET /api/moves': () => ({ moves: [] }),
    'GET /api/moves/used': () => ({ used: [] }),
    'GET /api/classes': () => ({ classes: [], removed: [] }),
    'GET /api/settings': () => newSettings('Atlantic/Azores'),
    ...Object.fromEntries(
      sessions.map((w) => [
        `GET /api/workouts/${w.id}`,
        () => ({ id: w.id, revision: 1, updatedAt: '2027-01-01T00:00:00.000Z', document: w.document }),
      ]),
    ),
  }
  calls = serve(answers)
})

afterEach(() => void vi.useRealTimers())
/** The workers' jobs run in this thread, beside other tests. */
const soon = (holds: () => void) => vi.waitFor(holds, { timeout: 10_000 })

const opened = async (): Promise<Opened> => {
  const page = await open(TermPage, { id })
  await flushPromises()
  return page
}
const cell = (date: string) => document.querySelector<HTMLElement>(`[data-date="${date}"]`)!
const press = async (key: string, more: KeyboardEventInit = {}) => {
  document.activeElement!.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, ...more }))
  await flushPromises()
}
const putFirst = async (page: Opened, date: string) => {
  cell(date).click()
  await flushPromises()
  await page.press(/^Session 0/)
}

describe('a term on screen', () => {
  it('puts a session on a day, moves it by keys, pins it, keeps a day free, and undoes each in one step', async () => {
    const page = await opened()
    await putFirst(page, '2027-01-05')
    expect(cell('2027-01-05').textContent).toContain('Session 0')
    // The results are shown at its place.
    expect(cell('2027-01-05').textContent).toContain('11 of 22')
    cell('2027-01-05').focus()
    await press('x', { ctrlKey: true })
    await press('ArrowDown')
    await press('ArrowRight')
    expect(document.activeElement).toBe(cell('2027-01-14'))
    await press('v', { ctrlKey: true })
    expect([cell('2027-01-05').textContent, cell('2027-01-14').textContent].map((s) => s.trim().slice(0, 9))).toEqual([
      '+',
      'Session 0',
    ])
    await press('p')
    expect(cell('2027-01-14').getAttribute('aria-label')).toContain('pinned')
    await press('ArrowLeft')
    await press('f')
    expect(cell('2027-01-12').textContent).toContain('free day')
    await press('Delete')
    expect(cell('2027-01-12').textContent.trim()).toBe('+')
    for (let i = 0; i < 5; i++) await press('z', { ctrlKey: true })
    expect(cell('2027-01-05').textContent.trim()).toBe('+')
    await press('z', { ctrlKey: true, shiftKey: true })
    expect(cell('2027-01-05').textContent).toContain('Session 0')
  })

  it('says that a session repeats, and which is in the trash', async () => {
    const places = ['2027-01-05', '2027-01-12', '2027-01-19'].map((date, i) => ({
      id: `d${i}`,
      date,
      session: sessionId(1),
      title: 'Session 1',
    }))
    stored = { ...start, places: [...places, { id: 'd9', date: '2027-01-14', session: id, title: 'Gone to sea' }] }
    const page = await opened()
    expect(cell('2027-01-12').textContent).toContain('again, one step up')
    expect(cell('2027-01-19').textContent).toContain('again, to beat the last result')
    expect(cell('2027-01-14').textContent).toContain('Gone to sea')
    expect(page.words()).toContain('1 planned session was deleted')
  })

  it('a session after weeks starts again, and is not called new', async () => {
    const places = ['2027-01-05', '2027-01-28'].map((date, i) => ({ id: `d${i}`, date, session: sessionId(1) }))
    stored = { ...start, places }
    await opened()
    cell('2027-01-28').click()
    await flushPromises()
    const steps = [...document.querySelectorAll('.ladder li')].map((li) => li.textContent)
    expect(steps.map((step) => /for the first time|after some weeks, from the start/.exec(step)?.[0])).toEqual([
      'for the first time',
      'after some weeks, from the start',
    ])
  })

  it('Ctrl Z in a text undoes typing there, not the term', async () => {
    const page = await opened()
    await putFirst(page, '2027-01-05')
    await page.press('Export')
    const text = document.querySelector<HTMLTextAreaElement>('aside textarea:not([readonly])')!
    text.focus()
    await press('z', { ctrlKey: true })
    expect(cell('2027-01-05').textContent).toContain('Session 0')
    text.blur()
    cell('2027-01-05').focus()
    await press('z', { ctrlKey: true })
    expect(cell('2027-01-05').textContent).not.toContain('Session 0')
  })

  it('makes the next step of a repeated session, as a session of its own', async () => {
    stored = {
      ...start,
      places: ['2027-01-05', '2027-01-12'].map((date, i) => ({ id: `d${i}`, date, session: sessionId(0) })),
    }
    answers[`GET /api/workouts/${sessionId(0)}/came-back`] = () => ({ times: [] })
    answers['POST /api/workouts'] = () => ({ id: sessionId(7), revision: 1, updatedAt: '2027-01-01T00:00:00.000Z' })
    const page = await opened()
    cell('2027-01-12').click()
    await flushPromises()
    await page.press('Create its next step')
    await soon(() => expect(page.router.currentRoute.value.name).toBe('compose'))
    expect(calls.find((c) => c.key === 'POST /api/workouts')!.body).toMatchObject({
      document: { title: 'Session 1' },
    })
    expect(stored.places[1]).toMatchObject({ made: sessionId(7) })
  })

  it('offline it stays on the device, and is stored when the network is back', async () => {
    const page = await opened()
    const save = answers[`PUT /api/terms/${id}`]!
    delete answers[`PUT /api/terms/${id}`]
    await putFirst(page, '2027-01-05')
    await soon(() => expect(page.words()).toContain('Your work is saved on this device'))
    // Changes made meanwhile are included.
    cell('2027-01-07').focus()
    await press('f')
    answers[`PUT /api/terms/${id}`] = save
    await page.press('Save now')
    await soon(() => expect(document.querySelector('[data-testid=save-mark]')!.textContent.trim()).toBe('saved'))
    expect(stored.places.map((p) => [p.date, p.session ?? 'free'])).toEqual([
      ['2027-01-05', sessionId(0)],
      ['2027-01-07', 'free'],
    ])
  })

  it('edited in two places, each change is listed by its days; hers continues and theirs becomes a copy', async () => {
    const page = await opened()
    const theirs: Term = {
      ...start,
      places: [{ id: 'd9', date: '2027-01-19', session: sessionId(3), title: 'Theirs' }],
    }
    const save = answers[`PUT /api/terms/${id}`]!
    let copied: unknown
    answers['POST /api/terms'] = (body) => {
      copied = body
      return { id: sessionId(9), revision: 1, updatedAt: '2027-01-01T00:00:00.000Z' }
    }
    answers[`PUT /api/terms/${id}`] = (body) =>
      (body as { revision: number }).revision === 7 ? save(body) : new Refusal(409, { code: 'conflict' })
    answers[`GET /api/terms/${id}`] = () => ({
      id,
      revision: 7,
      updatedAt: '2027-01-01T00:00:00.000Z',
      document: theirs,
    })
    await putFirst(page, '2027-01-05')
    await soon(() => expect(page.words()).toContain('Edited in two places'))
    await page.press('Compare')
    await soon(() => expect(page.words()).toMatch(/Here\s*Tue 5 Jan\s*In the other place\s*Tue 19 Jan/))
    await page.press('Keep mine here')
    await soon(() => expect(stored.places.map((p) => p.date)).toEqual(['2027-01-05']))
    expect(copied).toMatchObject({ document: { places: [{ title: 'Theirs' }] } })
  })

  it('shows what is missing, and a gap leads to the sessions that fill it', async () => {
    stored = { ...start, families: ['squat', 'lunge', 'jump'], places: [] }
    const page = await opened()
    await putFirst(page, '2027-01-05')
    await page.press('Coverage')
    const row = (name: string) =>
      [...document.querySelectorAll('tbody tr')].find((r) => r.querySelector('th')?.textContent === name)!
    await soon(() => expect(row('squat').querySelector('.state')!.textContent.trim()).toBe('once'))
    expect(row('jump').querySelector('.state')!.textContent.trim()).toBe('missing')
    row('lunge').querySelector('button')!.click()
    await soon(() => expect(page.words()).toContain('These sessions would fill the gap'))
    // Two of the eight have a lunge among their draws.
    await soon(() => expect(document.querySelectorAll('li button[draggable]')).toHaveLength(2))
    await page.press('Show all')
    expect(document.querySelectorAll('li button[draggable]')).toHaveLength(8)
  })

  it('is planned: what it meets is shown, changes are listed, and it is one undo step', async () => {
    const page = await opened()
    await page.press('Plan for me')
    for (const box of document.querySelectorAll<HTMLInputElement>('details input[type=checkbox]')) {
      box.click()
      await flushPromises()
    }
    await soon(() => expect(document.querySelector('.do .main')!.hasAttribute('disabled')).toBe(false))
    await page.press('Create plan')
    await soon(() => expect(page.words()).toContain('Days with a session: 7 of 7'))
    expect(page.words()).toContain('This is the best plan')
    await page.press('Use this plan')
    expect(document.querySelectorAll('[data-date].filled')).toHaveLength(7)
    expect(document.querySelectorAll('[data-date].kept')).toHaveLength(1)
    cell('2027-01-05').focus()
    await press('z', { ctrlKey: true })
    expect(document.querySelectorAll('[data-date].filled')).toHaveLength(0)
  })
})

describe('terms', () => {
  it('start empty or with another one’s sessions, go into the trash and are restored', async () => {
    const summaryOf = {
      id,
      title: 'Winter',
      starts: '2027-01-04',
      weeks: 4,
      revision: 1,
      updatedAt: '2027-01-01T00:00:00.000Z',
    }
    let removed = false
    answers['GET /api/terms'] = () => ({
      terms: removed ? [] : [summaryOf],
      removed: removed ? [{ id, title: 'Winter', removedAt: '2027-01-02T00:00:00.000Z' }] : [],
    })
    answers[`DELETE /api/terms/${id}`] = () => ((removed = true), {})
    answers[`POST /api/terms/${id}/restore`] = () => ((removed = false), {})
    const page = await open(TermsPage)
    await soon(() => expect(page.words()).toContain('Winter'))
    await page.press('Remove Winter')
    expect(page.words()).toContain('is in the trash')
    await page.press('Restore Winter')
    await soon(() => expect(document.querySelector('a')!.textContent).toBe('Winter'))
  })
})

describe('a term’s messages and settings', () => {
  it('has a message for the chosen week with the existing links, sent to one address; unsent sessions are named', async () => {
    stored = {
      ...start,
      places: [0, 1].map((n) => ({ id: `d${n}`, date: `2027-01-${n ? '07' : '05'}`, session: sessionId(n) })),
    }
    const token = 'AbCdEfGhIjKlMnOpQrStUv'
    answers[`GET /api/terms/${id}/links`] = () => ({
      links: [{ workout: sessionId(0), token, endsAt: '2027-04-01T00:00:00.000Z' }],
    })
    answers[`GET /api/terms/${id}/link`] = () => ({ link: null })
    answers[`POST /api/terms/${id}/link`] = () => ({ link: { token, madeAt: '2027-01-01T00:00:00.000Z' } })
    answers[`POST /api/terms/${id}/message`] = () => ({})
    const page = await opened()
    cell('2027-01-05').click()
    await page.press('Export')
    await soon(() => expect(document.querySelector('textarea')!.value).toContain(`/go/${token}`))
    expect(document.querySelector('textarea')!.value).toContain('Thursday 7 January: Session 1')
    expect(page.words()).toContain('not sent home: Session 1')
    const to = document.querySelector<HTMLInputElement>('input[type=email]')!
    to.value = 'families@island.example'
    to.dispatchEvent(new Event('input'))
    await flushPromises()
    await page.press('Send message')
    expect(calls.find((c) => c.key === `POST /api/terms/${id}/message`)!.body).toMatchObject({
      to: 'families@island.example',
    })
    const copied: string[] = []
    const clipboard = { writeText: async (text: string) => void copied.push(text) }
    Object.defineProperty(navigator, 'clipboard', { configurable: true, value: clipboard })
    await page.press('Create address')
    await page.press('Copy')
    expect(copied.at(-1)).toContain(`/api/go/${token}/calendar`)
    expect(page.words()).toContain('Copied')
    // A new address has not been copied yet.
    answers[`DELETE /api/terms/${id}/link`] = () => ({})
    await page.press('End address…')
    await page.press('End address now')
    await page.press('Create address')
    await page.press('Copy')
    expect(document.querySelector<HTMLTextAreaElement>('.address textarea')!.value).toContain(
      `/api/go/${token}/calendar`,
    )
  })

  it('is set: its days, its holidays; sessions on days that no longer exist are listed and removed', async () => {
    stored = { ...start, places: [{ id: 'd1', date: '2027-01-05', session: sessionId(0), title: 'Session 0' }] }
    const page = await opened()
    await page.press('Settings')
    const type = async (label: string, value: string) => {
      const all = [...document.querySelectorAll('.v-input')]
      const found = all.find((f) => f.querySelector('label')?.textContent!.trim() === label)
      const input = found!.querySelector('input')!
      input.value = value
      input.dispatchEvent(new Event('input'))
      await flushPromises()
    }
    await type('Holiday', 'Snow')
    await type('From', '2027-01-04')
    await type('To', '2027-01-10')
    await page.press('Add holiday')
    expect(cell('2027-01-05').textContent).toContain('Snow')
    expect(page.words()).toContain('Not on a home day any more: Session 0')
    await page.press('Remove')
    expect(page.words()).not.toContain('Not on a home day any more')
    await page.press('Remove Snow')
    expect(cell('2027-01-05').textContent.trim()).toBe('+')
  })
})
