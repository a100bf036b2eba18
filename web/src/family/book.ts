import * as z from 'zod/mini'
import { dayValue, sayName, type Say } from '@esfuerzo/core'
import { measureOf, type Lane, type Publication } from '@esfuerzo/core/publication'
import { playedOf, type Result, type Run } from '@esfuerzo/core/run'

import type { PlayerWords } from '../player/useWords.ts'
import { deviceStore } from '../shared/device/deviceStore.ts'
import { keptAs } from '../shared/keptAs.ts'

/** An entry of the child's own book: a station's laps together, a test in its unit. */
export interface BookLine {
  /** The same the next time. */
  key: string
  name: string
  value: number
  /** For a test its unit, otherwise the unit's key. */
  unit: string
  test?: true
}

/** A session a child ran. */
export interface BookEntry {
  /** Its run: reported again, it is the same entry. Old entries have none. */
  run?: string
  title: string
  at: string
  lines: BookLine[]
  words: { word: string; meaning: string }[]
}

/** A child's own book. It is stored on this device only. */
export interface ChildBook {
  entries: BookEntry[]
  /** The child's target, in its own words or by one of our codes. */
  target?: string
  /** Minutes moved, by day. */
  moved: Record<string, number>
}

/** Our codes for a child's target. */
export const bookTargets = ['again', 'more', 'another', 'quiet'] as const
export const isTarget = (target: string | undefined): boolean => bookTargets.some((code) => code === target)

/** Sessions and days that are kept. */
const [mostEntries, mostDays] = [60, 120]
/** More minutes on a day are a typing error. */
export const mostMinutes = 600

const store = deviceStore('childBook')
const shape = z.looseObject({
  entries: z.array(
    z.looseObject({
      title: z.string(),
      at: z.string(),
      lines: z.array(z.looseObject({ key: z.string(), name: z.string(), value: z.number(), unit: z.string() })),
      words: z.array(z.looseObject({ word: z.string(), meaning: z.string() })),
    }),
  ),
  target: z.optional(z.string()),
  moved: z.record(z.string(), z.number()),
})
const empty = (): ChildBook => ({ entries: [], moved: {} })

/** A date as text, by the device's clock. @example dayOf(new Date(2026, 10, 28, 23)) // '2026-11-28' */
export const dayOf = (at: Date): string =>
  [at.getFullYear(), at.getMonth() + 1, at.getDate()].map((n) => String(n).padStart(2, '0')).join('-')

/** The seven days of a week, Monday first. @example weekOf(new Date(2026, 10, 28))[0] // '2026-11-23' */
export const weekOf = (at: Date): string[] =>
  Array.from({ length: 7 }, (_, i) =>
    dayOf(new Date(at.getFullYear(), at.getMonth(), at.getDate() - ((at.getDay() + 6) % 7) + i)),
  )

/** Minutes moved in the week of a date. */
export const movedInWeek = ({ moved }: Pick<ChildBook, 'moved'>, at: Date): number =>
  weekOf(at).reduce((sum, day) => sum + (moved[day] ?? 0), 0)

/** What a run adds, line by line, in the order of the session. */
export function linesOf(
  publication: Publication,
  lane: Lane,
  results: readonly Result[],
  words: Pick<PlayerWords, 'names' | 'phrase' | 'section'>,
): BookLine[] {
  const byPlace = new Map<string, Result[]>()
  for (const result of results) {
    const key = [result.block, result.station].filter(Boolean).join(' ')
    byPlace.set(key, [...(byPlace.get(key) ?? []), result])
  }
  return [...byPlace].map(([key, own]) => {
    const { block: id, station, unit } = own[0]!
    const values = own.map((r) => r.value)
    const measure = station === undefined ? measureOf(publication, lane.plays[id]) : undefined
    if (measure)
      return {
        key,
        name: words.phrase(measure.name),
        value: dayValue(measure, values),
        unit: words.phrase(measure.in),
        test: true,
      }
    const section = publication.sections.find((s) => s.blocks.some((b) => b.id === id))
    const block = section?.blocks.find((b) => b.id === id)
    const step = station && lane.steps.find((s) => s.station === station && s.kind === 'work')
    const asOne = playedOf(lane.plays[id]).asOne
    return {
      key,
      name: step ? sayName(step.say as Say, words.names) : (block?.title ?? (section ? words.section(section) : '')),
      value: station || asOne ? values.reduce((sum, v) => sum + v, 0) : values.at(-1)!,
      unit,
    }
  })
}

/** The book with a run in it: its lines, words, and minutes on its day. A repeated one replaces itself and adds no minutes. */
export function withRun(book: ChildBook, entry: BookEntry, run: Pick<Run, 'startedAt' | 'finishedAt'>): ChildBook {
  const isThere = (e: BookEntry): boolean => e.run !== undefined && e.run === entry.run
  if (book.entries.some(isThere)) return { ...book, entries: book.entries.map((e) => (isThere(e) ? entry : e)) }
  const day = dayOf(new Date(run.finishedAt))
  const minutes = Math.round((Date.parse(run.finishedAt) - Date.parse(run.startedAt)) / 60_000)
  const moved = { ...book.moved, [day]: Math.min(mostMinutes, (book.moved[day] ?? 0) + Math.max(0, minutes)) }
  const days = Object.keys(moved).sort().slice(-mostDays)
  return {
    ...book,
    entries: [entry, ...book.entries].slice(0, mostEntries),
    moved: Object.fromEntries(days.map((d) => [d, moved[d]!])),
  }
}

/** A line of the latest session with its value the time before; nothing says which is more. */
export interface ThenAndNow extends BookLine {
  last?: number
}

/** The latest run of each title, with the previous run of the same session. */
export function latest(book: ChildBook): { entry: BookEntry; before?: BookEntry; lines: ThenAndNow[] }[] {
  const titles = [...new Set(book.entries.map((e) => e.title))]
  return titles.map((title) => {
    const [entry, before] = book.entries.filter((e) => e.title === title) as [BookEntry, BookEntry | undefined]
    const lines = entry.lines.map((line): ThenAndNow => {
      const last = before?.lines.find((l) => l.key === line.key && l.unit === line.unit)?.value
      return { ...line, ...(last !== undefined && { last }) }
    })
    return { entry, ...(before && { before }), lines }
  })
}

/** All learned words, each once, the first first. */
export const wordsLearnt = ({ entries }: Pick<ChildBook, 'entries'>): { word: string; meaning: string }[] => [
  ...new Map(entries.toReversed().flatMap((e) => e.words.map((w) => [w.word, w] as const))).values(),
]

/** A child's book, by its pupil's id, or the device's if no code was given. Empty without storage. */
export const childBook = async (pupil = ''): Promise<ChildBook> => {
  try {
    return keptAs<ChildBook>(shape, await store.get(pupil)) ?? empty()
  } catch {
    return empty()
  }
}

/** Changes a child's book; without storage it is forgotten. An unreadable one is set aside and a new one started. */
export const changeBook = async (pupil: string, change: (book: ChildBook) => ChildBook): Promise<void> => {
  try {
    const there = await store.get(pupil)
    if (there !== undefined && !keptAs(shape, there)) await store.set(`${pupil} aside`, there)
    await store.update(pupil, (book) => change(keptAs<ChildBook>(shape, book) ?? empty()))
  } catch {
    // The page has it until it is closed.
  }
}
