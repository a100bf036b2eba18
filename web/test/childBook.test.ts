import { expect, it } from 'vitest'
import { newSession } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import {
  dayOf,
  latest,
  linesOf,
  movedInWeek,
  weekOf,
  withRun,
  wordsLearnt,
  type ChildBook,
} from '../src/family/book.ts'
import { library } from '../src/repertoire/library.ts'

const empty: ChildBook = { entries: [], moved: {} }
const run = (day: string, minutes: number) => ({
  startedAt: new Date(`${day}T15:00:00`).toISOString(),
  finishedAt: new Date(new Date(`${day}T15:00:00`).getTime() + minutes * 60_000).toISOString(),
})
const entry = (title: string, day: string, value: number) => ({
  title,
  at: run(day, 0).finishedAt,
  lines: [{ key: 'b1 s1', name: 'Squat', value, unit: 'reps' }],
  words: [{ word: 'reps', meaning: 'how often' }],
})

it('a week is from Monday to Sunday, across the end of a month and of a year', () => {
  expect(weekOf(new Date(2026, 10, 30))[0]).toBe('2026-11-30')
  expect(weekOf(new Date(2026, 11, 6))).toEqual(weekOf(new Date(2026, 10, 30)))
  expect(weekOf(new Date(2027, 0, 1))).toEqual([
    '2026-12-28',
    '2026-12-29',
    '2026-12-30',
    '2026-12-31',
    '2027-01-01',
    '2027-01-02',
    '2027-01-03',
  ])
  expect(dayOf(new Date(2026, 0, 5, 23, 59))).toBe('2026-01-05')
})

it('a run adds its minutes to its day, besides those tapped', () => {
  const tapped = { ...empty, moved: { '2026-11-24': 30, '2026-11-16': 50 } }
  const book = withRun(tapped, entry('Fog', '2026-11-24', 10), run('2026-11-24', 18))
  expect(book.moved).toEqual({ '2026-11-24': 48, '2026-11-16': 50 })
  expect(movedInWeek(book, new Date(2026, 10, 29))).toBe(48)
  // A run left open overnight does not count as moving.
  expect(withRun(empty, entry('Fog', '2026-11-24', 1), run('2026-11-24', 4000)).moved).toEqual({ '2026-11-27': 600 })
})

it('a run reported again replaces itself, and its minutes count once', () => {
  const told = (value: number) => ({ ...entry('Fog', '2026-11-24', value), run: 'r1' })
  const once = withRun(empty, told(10), run('2026-11-24', 18))
  const again = withRun(once, told(12), run('2026-11-24', 18))
  expect(again.entries.map((e) => e.lines[0]!.value)).toEqual([12])
  expect(again.moved).toEqual(once.moved)
  expect(withRun(again, entry('Fog', '2026-11-24', 12), run('2026-11-24', 18)).entries).toHaveLength(2)
})

it('last time is shown next to this time of the same session, without a word about which is more', () => {
  const first = withRun(empty, entry('Fog', '2026-11-24', 12), run('2026-11-24', 5))
  const other = withRun(first, entry('Mist', '2026-11-25', 3), run('2026-11-25', 5))
  const book = withRun(other, entry('Fog', '2026-11-26', 10), run('2026-11-26', 5))
  expect(latest(book).map(({ entry: { title }, lines }) => [title, lines])).toEqual([
    ['Fog', [{ key: 'b1 s1', name: 'Squat', value: 10, unit: 'reps', last: 12 }]],
    ['Mist', [{ key: 'b1 s1', name: 'Squat', value: 3, unit: 'reps' }]],
  ])
  expect(wordsLearnt(book)).toEqual([{ word: 'reps', meaning: 'how often' }])
})

it('keeps the latest sixty sessions', () => {
  const book = Array.from({ length: 70 }).reduce<ChildBook>(
    (now, _, i) => withRun(now, entry(`Fog ${i}`, '2026-11-24', i), run('2026-11-24', 1)),
    empty,
  )
  expect(book.entries).toHaveLength(60)
  expect(book.entries[0]!.title).toBe('Fog 69')
})

it('a station’s laps are shown together, a test as it counts', () => {
  const { groups } = newSession('x', [[4, 5, 6]], 20, library.version)
  const text = '# Fog\n## Main\n2 laps 30/30\nsquat\n## Test\nmeasure line jumps in 15 s, 2 trials\n'
  const publication = publish(parse(text, library, groups).workout, library)
  const [lane] = publication.lanes
  const blocks = publication.sections.flatMap((s) => s.blocks)
  const station = blocks[0]!.stations[0]!.id
  const results = [
    { block: blocks[0]!.id, station, lap: 1, value: 14, unit: 'reps' as const },
    { block: blocks[0]!.id, station, lap: 2, value: 12, unit: 'reps' as const },
    { block: blocks[1]!.id, trial: 1, value: 24, unit: 'reps' as const },
    { block: blocks[1]!.id, trial: 2, value: 25, unit: 'reps' as const },
  ]
  const words = { names: () => 'Squat', phrase: (text: string) => text, section: () => 'Test' }
  expect(linesOf(publication, lane!, results, words)).toMatchObject([
    { name: 'Squat', value: 26, unit: 'reps' },
    { name: 'Line jumps in 15 s', value: 49, unit: 'jumps', test: true },
  ])
})
