import { flushPromises } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { newSettings } from '@esfuerzo/core'
import type { BookColumn, BookEntry } from '@esfuerzo/core/classBook'
import type { WrittenCell } from '@esfuerzo/contract'
import { movedUp } from '../src/classes/classDraft.ts'
import { useBook } from '../src/classes/book/useBook.ts'
import { open, Refusal, serve, type Answers } from './support/pages.ts'

const classId = '11111111-1111-4111-8111-111111111111'
const sent = '22222222-2222-4222-8222-222222222222'
const [kelp, tern] = ['33333333-3333-4333-8333-333333333333', '44444444-4444-4444-8444-444444444444'] as const
const schoolClass = {
  id: classId,
  name: 'Class 3',
  grades: [2, 3],
  yearEnds: '2099-07-31',
  keepMonths: 0,
  pace: null,
  pupils: 2,
}
const pupils = [
  { id: kelp, alias: 'Kelp 7', note: '', results: 1 },
  { id: tern, alias: 'Tern 4', note: 'left-handed', results: 0 },
]
const lap = (nth: number): BookColumn => ({
  what: 'result',
  block: 'b2',
  station: 's1',
  lap: nth,
  key: `result b2 s1 lap ${nth}`,
  kind: 'station',
  name: 'Squat jump',
  part: 'Main part',
  unit: 'reps',
  nth,
  of: 2,
  seconds: 20,
})
const columns: BookColumn[] = [
  lap(1),
  lap(2),
  { what: 'felt', key: 'felt', kind: 'felt', name: '', part: '', unit: 'faces', nth: 1, of: 1 },
]
const entry = (more: Partial<BookEntry>): BookEntry => ({
  id: '55555555-5555-4555-8555-555555555555',
  pupil: kelp,
  what: 'result',
  block: 'b2',
  station: 's1',
  lap: 1,
  value: 12,
  at: '2026-11-12T10:00:00.000Z',
  source: 'run',
  seconds: 20,
  ...more,
})

let written: WrittenCell[][] = []
let answers: Answers
let entries: BookEntry[]
let earlier: BookEntry[]
beforeEach(() => {
  setActivePinia(createPinia())
  vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }))
  written = []
  entries = [entry({})]
  earlier = [entry({ id: '66666666-6666-4666-8666-666666666666', value: 10, at: '2026-10-12T10:00:00.000Z' })]
  answers = {
    'GET /api/settings': () => newSettings('Atlantic/Azores'),
    'GET /api/classes': () => ({ classes: [schoolClass], removed: [] }),
    [`GET /api/classes/${classId}`]: () => ({ class: schoolClass, pupils, removed: [] }),
    [`GET /api/classes/${classId}/sessions`]: () => ({
      sessions: [{ id: sent, title: 'Springs', sentAt: '2026-11-11T10:00:00.000Z', pupils: 1 }],
    }),
    [`GET /api/classes/${classId}/tests`]: () => ({ tests: [] }),
    [`GET /api/classes/${classId}/results/${sent}`]: () => ({ columns, entries, earlier, loose: [] }),
    [`PUT /api/classes/${classId}/results/${sent}`]: (body) => {
      const { cells } = body as { cells: WrittenCell[] }
      written.push(cells)
      return { written: cells.map(stored), differing: [] }
    },
  }
})
afterEach(() => vi.useRealTimers())

const stored = ({ id, pupil, value, what, block, station, lap: nth }: WrittenCell): BookEntry =>
  entry({ id, pupil, value, what, block, station, lap: nth, source: 'typed', at: new Date().toISOString() })

async function opened() {
  serve(answers)
  const book = useBook(classId, sent)
  await book.load()
  return book
}
const put = (book: ReturnType<typeof useBook>, pupil: string, nth: number, text: string) =>
  book.put([{ pupil, column: lap(nth).key, text }])
const quiet = () => vi.advanceTimersByTimeAsync(1500)

describe('a value typed into the book', () => {
  beforeEach(() => void vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] }))

  it('is on screen at once and stored a moment later, cells typed together in one request', async () => {
    const book = await opened()
    put(book, kelp, 1, '14')
    put(book, tern, 2, '9')
    expect([book.textOf(kelp, lap(1).key), book.state.value]).toEqual(['14', 'saving'])
    await quiet()
    expect(written.map((cells) => cells.map((c) => [c.pupil, c.value, c.was]))).toEqual([
      [
        [kelp, 14, entry({}).id],
        [tern, 9, null],
      ],
    ])
    expect(book.state.value).toBe('saved')
    expect(book.cellOf(kelp, lap(1).key)!.before.map((e) => e.value)).toEqual([10])
    expect(book.typedOf(kelp, lap(1).key)).toBeUndefined()
    book.stop()
  })

  it('and restored as it was is not stored', async () => {
    const book = await opened()
    put(book, kelp, 1, '14')
    put(book, kelp, 1, '12')
    await quiet()
    expect(written).toEqual([])
    book.stop()
  })

  it('is undone and redone, step by step', async () => {
    const book = await opened()
    book.put([
      { pupil: kelp, column: lap(1).key, text: '14' },
      { pupil: tern, column: lap(1).key, text: '7' },
    ])
    await quiet()
    book.undo()
    expect([book.textOf(kelp, lap(1).key), book.textOf(tern, lap(1).key)]).toEqual(['12', ''])
    await quiet()
    expect(written[1]!.map((c) => c.value)).toEqual([12, null])
    book.redo()
    expect(book.textOf(tern, lap(1).key)).toBe('7')
    expect([book.canUndo.value, book.canRedo.value]).toEqual([true, false])
    book.stop()
  })

  it('stays as typed if impossible, is questioned if unlikely, and is stored in neither case', async () => {
    const book = await opened()
    put(book, kelp, 1, '500')
    put(book, kelp, 2, '70')
    await quiet()
    expect(written).toEqual([])
    expect(book.open.value.map((c) => [c.text, c.state])).toEqual([
      ['500', 'refused'],
      ['70', 'asked'],
    ])
    book.confirm(book.open.value[1]!)
    book.drop(book.open.value[0]!)
    await quiet()
    expect(written.map((cells) => cells.map((c) => c.value))).toEqual([[70]])
    expect(book.textOf(kelp, lap(1).key)).toBe('12')
    book.stop()
  })

  it('that somebody else changed meanwhile is shown with theirs, and disappears if mine is chosen', async () => {
    const theirs = entry({ id: '77777777-7777-4777-8777-777777777777', value: 20, at: '2026-11-13T10:00:00.000Z' })
    const good = answers[`PUT /api/classes/${classId}/results/${sent}`]!
    answers[`PUT /api/classes/${classId}/results/${sent}`] = (body) => ({
      written: [],
      differing: (body as { cells: WrittenCell[] }).cells.map(({ id }) => ({ id, now: theirs })),
    })
    const book = await opened()
    put(book, kelp, 1, '14')
    await quiet()
    expect(book.open.value).toMatchObject([{ text: '14', state: 'differs', now: { value: 20 } }])
    answers[`PUT /api/classes/${classId}/results/${sent}`] = good
    book.confirm(book.open.value[0]!)
    await quiet()
    expect(written).toMatchObject([[{ value: 14, was: theirs.id }]])
    expect(book.open.value).toEqual([])
    book.stop()
  })

  it('edited while it is being saved is saved over the value just written', async () => {
    const book = await opened()
    answers[`PUT /api/classes/${classId}/results/${sent}`] = (body) => {
      const { cells } = body as { cells: WrittenCell[] }
      written.push(cells)
      if (written.length === 1) put(book, kelp, 1, '15')
      return { written: cells.map(stored), differing: [] }
    }
    put(book, kelp, 1, '14')
    await quiet()
    expect(written.map((cells) => cells.map((c) => c.value))).toEqual([[14], [15]])
    expect(written[1]![0]!.was).toBe(written[0]![0]!.id)
    expect([book.textOf(kelp, lap(1).key), book.open.value]).toEqual(['15', []])
    book.stop()
  })

  it.each(['id-taken', 'twice'])('is sent again under another id if the server says %s', async (why) => {
    const good = answers[`PUT /api/classes/${classId}/results/${sent}`]!
    let refused = ''
    answers[`PUT /api/classes/${classId}/results/${sent}`] = (body) => {
      const [cell] = (body as { cells: WrittenCell[] }).cells
      refused = cell!.id
      answers[`PUT /api/classes/${classId}/results/${sent}`] = good
      return { written: [], differing: [], refused: [{ id: refused, why }] }
    }
    const book = await opened()
    put(book, kelp, 1, '14')
    await quiet()
    expect(written.map((cells) => cells.map((c) => c.value))).toEqual([[14]])
    expect(written[0]![0]!.id).not.toBe(refused)
    expect(book.open.value).toEqual([])
    book.stop()
  })

  it('is not questioned again after undo', async () => {
    const book = await opened()
    put(book, kelp, 2, '70')
    book.confirm(book.open.value[0]!)
    await quiet()
    put(book, kelp, 2, '9')
    await quiet()
    book.undo()
    expect(book.open.value).toEqual([])
    await quiet()
    expect(written.map((cells) => cells.map((c) => c.value))).toEqual([[70], [9], [70]])
    book.stop()
  })

  it('is replaced by somebody else’s if theirs is chosen', async () => {
    const theirs = entry({ id: '77777777-7777-4777-8777-777777777777', value: 20, at: '2026-11-13T10:00:00.000Z' })
    answers[`PUT /api/classes/${classId}/results/${sent}`] = (body) => ({
      written: [],
      differing: (body as { cells: WrittenCell[] }).cells.map(({ id }) => ({ id, now: theirs })),
    })
    const book = await opened()
    put(book, kelp, 1, '14')
    await quiet()
    entries = [theirs]
    book.drop(book.open.value[0]!)
    await quiet()
    expect([book.textOf(kelp, lap(1).key), book.open.value]).toEqual(['20', []])
    book.stop()
  })

  it('waits on screen while the server is away, and is sent with what is typed meanwhile', async () => {
    const good = answers[`PUT /api/classes/${classId}/results/${sent}`]!
    answers[`PUT /api/classes/${classId}/results/${sent}`] = () => new Refusal(503, { code: 'database-away' })
    const book = await opened()
    put(book, kelp, 1, '14')
    await quiet()
    expect([book.state.value, book.textOf(kelp, lap(1).key)]).toEqual(['away', '14'])
    put(book, tern, 1, '6')
    answers[`PUT /api/classes/${classId}/results/${sent}`] = good
    await vi.advanceTimersByTimeAsync(12_000)
    expect(written.at(-1)!.map((c) => c.value)).toEqual([14, 6])
    expect(book.state.value).toBe('saved')
    book.stop()
  })

  it('is kept when the sign-in has ended, and the page says so', async () => {
    answers[`PUT /api/classes/${classId}/results/${sent}`] = () => new Refusal(401, { code: 'sign-in-needed' })
    const book = await opened()
    put(book, kelp, 1, '14')
    await quiet()
    expect([book.state.value, book.textOf(kelp, lap(1).key)]).toEqual(['signed-out', '14'])
    book.stop()
  })
})

describe('the page of a class', () => {
  const page = async () => {
    serve(answers)
    return open((await import('../src/classes/ClassPage.vue')).default, { classId })
  }

  it('shows results by alias, per thirty seconds, with each child’s own line, and lets nobody sort by them', async () => {
    const { view } = await page()
    await flushPromises()
    const rows = view.findAll('tbody tr[aria-rowindex]')
    expect(rows.map((row) => row.find('th').text())).toEqual(['Kelp 7', 'Tern 4'])
    // 12 in 20 s are 18 in 30 s.
    expect(rows[0]!.find('td').text()).toBe('1218')
    expect(rows[0]!.find('td svg').exists()).toBe(true)
    expect(rows[1]!.findAll('td').map((cell) => cell.text())).toEqual(['', '', ''])
    expect(view.findAll('thead button, thead a, [aria-sort]')).toHaveLength(0)
    expect(view.find('[data-testid=about]').text()).toContain('18 in 30 s')
    expect(view.find('[data-testid=about]').text()).toContain('before: 10')
  })

  it('reassigns a run that came with another child’s code', async () => {
    const run = '99999999-9999-4999-8999-999999999999'
    entries = [entry({ run })]
    let moved: unknown
    answers[`PUT /api/publications/${sent}/runs/${run}/pupil`] = (body) => ((moved = body), {})
    const { press } = await page()
    await flushPromises()
    await press("Another child's results?")
    const item = [...document.querySelectorAll<HTMLElement>('.v-list-item')].find((i) => i.textContent === 'Tern 4’s')!
    item.click()
    await flushPromises()
    expect(moved).toEqual({ pupil: tern })
  })

  it('is filled by keyboard: a digit starts, Tab continues, Escape restores', async () => {
    const { view } = await page()
    await flushPromises()
    const grid = view.find('[role=grid]')
    await grid.trigger('keydown', { key: '9' })
    expect((view.find('td input').element as HTMLInputElement).value).toBe('9')
    await grid.trigger('keydown', { key: 'Escape' })
    expect(view.find('#cell-0-0').text()).toContain('12')
    await grid.trigger('keydown', { key: '9' })
    await grid.trigger('keydown', { key: 'Tab' })
    expect(view.find('#cell-0-0').text()).toContain('9')
    await grid.trigger('keydown', { key: 'z', ctrlKey: true })
    expect(view.find('#cell-0-0').text()).toContain('12')
    await grid.trigger('keydown', { key: 'ArrowLeft' })
    await grid.trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    await grid.trigger('keydown', { key: 'd', ctrlKey: true })
    expect(view.find('#cell-1-0').text()).toContain('12')
    await grid.trigger('keydown', { key: 'Delete' })
    expect(view.find('#cell-0-0').text()).toBe('')
  })

  it('explains what to do if nobody is in it, and if nothing was sent to it', async () => {
    answers[`GET /api/classes/${classId}`] = () => ({ class: schoolClass, pupils: [], removed: [] })
    expect((await page()).words()).toContain('This class has no pupils yet.')
    answers[`GET /api/classes/${classId}/sessions`] = () => ({ sessions: [] })
    expect((await page()).words()).toContain('This class has no sessions yet')
  })

  it('announces a month before that its results will be deleted, and keeps them longer when told to', async () => {
    const soon = new Date(Date.now() + 10 * 86_400_000).toISOString().slice(0, 10)
    let saved: unknown
    answers[`GET /api/classes/${classId}`] = () => ({ class: { ...schoolClass, yearEnds: soon }, pupils, removed: [] })
    answers[`PUT /api/classes/${classId}`] = (body) => ((saved = body), { ...schoolClass, ...(body as object) })
    const { words, press } = await page()
    expect(words()).toContain("This school year's results will be deleted after")
    await press('Keep them three more months')
    expect(saved).toMatchObject({ keepMonths: 3 })
    expect(words()).not.toContain('will be deleted after')
  })

  it('shows tests over the days they were measured on, every try, and leads to their session', async () => {
    const days = [
      { key: 'a b8', publicationId: sent, title: 'Springs', at: '2026-10-12T10:00:00.000Z' },
      { key: 'a b9', publicationId: sent, title: 'Springs', at: '2026-10-12T10:00:00.000Z' },
    ]
    const values = [20, 24].map((value, i) => ({ pupil: tern, day: 'a b8', trial: i + 1, value }))
    answers[`GET /api/classes/${classId}/tests`] = () => ({
      tests: [{ test: 'sitToStands30', unit: 'reps', moment: 'alone', days, values }],
    })
    const { view, router, words } = await page()
    await router.replace({ query: { show: 'tests' } })
    await flushPromises()
    expect(view.findAll('tbody tr').map((row) => row.text())).toEqual(['Tern 420 · 24'])
    expect(words()).toContain('Springs (time 1)')
    expect(words()).toContain('Nothing to compare yet')
    await view.find('thead button').trigger('click')
    await flushPromises()
    expect(router.currentRoute.value.query).toEqual({ show: 'results', session: sent })
  })

  it('shows how the class changed once eight children have both days, and names no alias', async () => {
    const days = ['a', 'b', 'c'].map((key, i) => ({
      key,
      publicationId: sent,
      title: 'Springs',
      at: `2026-1${i}-01T10:00:00.000Z`,
    }))
    const many = Array.from({ length: 9 }, (_, i) => ({
      ...pupils[0]!,
      id: kelp.replace(/^./, String(i)),
      alias: `Kelp ${i}`,
    }))
    const values = many.flatMap(({ id }, i) =>
      // A practice test, then two days that count.
      ['a', 'b', 'c'].map((day, d) => ({ pupil: id, day, trial: 1, value: 10 + i + (d === 2 ? 5 + i : 0) })),
    )
    answers[`GET /api/classes/${classId}`] = () => ({ class: schoolClass, pupils: many, removed: [] })
    answers[`GET /api/classes/${classId}/tests`] = () => ({
      tests: [{ test: 'sitToStands30', unit: 'reps', moment: 'alone', days, values }],
    })
    const { view, router } = await page()
    await router.replace({ query: { show: 'tests' } })
    await flushPromises()
    const said = view.findAll('section.card p.said').map((p) => p.text())
    expect(said[0]).toMatch(
      /^Most of the class did more \(median \+9 stands, between \+6 stands and \+12 stands; 9 of 9/,
    )
    expect(said).toEqual([
      said[0],
      "Some of this is growth and getting used to the test. It doesn't show that the lessons caused it.",
      '9 of 9 children changed more than day-to-day variation explains. (Fewer than 1 would by chance.)',
      'Measured at home, one child’s result varies by about 1.5 stands from day to day.',
      'Very high and very low first results often move toward the middle by themselves.',
    ])
    expect(said.join(' ')).not.toMatch(/Kelp/)
    // Each child next to itself, in alias order.
    expect(view.findAll('tbody tr').map((row) => row.findAll('td').at(-1)!.text())[0]).toMatch(
      /^\+5 stands · clearly more\s+± 4/,
    )
  })

  it('adds proposed aliases, warns of what looks like a name, removes a pupil and restores it', async () => {
    let added: unknown
    answers[`POST /api/classes/${classId}/pupils`] = (body) => ((added = body), { pupils })
    const calls: string[] = []
    answers[`DELETE /api/pupils/${kelp}`] = () => (calls.push('away'), {})
    answers[`POST /api/pupils/${kelp}/restore`] = () => (calls.push('back'), pupils[0])
    const { view, press, words, router } = await page()
    await router.replace({ query: { show: 'pupils' } })
    await flushPromises()
    await view.find('input[type=number]').setValue('3')
    await press('Suggest aliases')
    await press('Add 3 pupils')
    expect((added as { aliases: string[] }).aliases).toHaveLength(3)
    await view.find('textarea').setValue('Ana Prado\nSkua 3')
    expect(words()).toContain('This looks like a full name: Ana Prado')
    await press('Delete Kelp 7')
    await press('Undo')
    expect(calls).toEqual(['away', 'back'])
  })
})

it('a class that moves up gets its next grades, year’s end and number', () => {
  const draft = { name: 'Class 3 · Gannets', grades: [2, 3], yearEnds: '2027-07-31', keepMonths: 1, pace: 1.2 }
  expect(movedUp(draft)).toEqual({
    name: 'Class 4 · Gannets',
    grades: [3, 4],
    yearEnds: '2028-07-31',
    keepMonths: 1,
    pace: null,
  })
  expect(movedUp({ ...draft, name: 'Room 12', grades: [5, 6] })).toMatchObject({ name: 'Room 12', grades: [6] })
})
