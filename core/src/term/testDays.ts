import { fullWeeks, openDays, weeksAfterHolidays, type HomeDay } from './days.ts'
import type { Term } from './schema.ts'

/** A class's test days: a practice test that is not compared, the first test day, the second. */
export interface TestDays {
  tryOut: HomeDay
  first: HomeDay
  second: HomeDay
}
/** What the days could not satisfy, by name. */
export type TestMiss = 'sixWeeks' | 'sameWeekday' | 'lastButOne' | 'secondWeek' | 'none'

/** Fewest days between the two test days. Trade's. */
export const testsApart = 42

/** The past part of a term. */
interface Behind {
  /** The earliest possible test day, an ISO date. */
  from?: string | undefined
  /** Past test days, in order. */
  had?: readonly string[]
}

/**
 * The test days of a term: the practice test in the first open week, the first test in the next, the second in the second-to-last full
 * week; on the same weekday, six weeks apart, none in the first week after holidays. If not all of that is possible, as few conditions as
 * possible are broken.
 *
 * @param kept days that must not move and are not test days
 * @returns no days if all are past, or there is no room
 */
export function testDays(
  term: Pick<Term, 'starts' | 'weeks' | 'days' | 'off'>,
  kept: ReadonlySet<string> = new Set(),
  { from = '', had = [] }: Behind = {},
): { days?: TestDays; missed: TestMiss[] } {
  const all = openDays(term)
  const [hadTryOut, hadFirst, hadSecond] = all.filter((d) => had.includes(d.date))
  if (hadSecond) return { missed: [] }
  const after = new Set(weeksAfterHolidays(term))
  const open = all.filter((d) => d.date >= from && !kept.has(d.date) && (!after.has(d.week) || d.week === 0))
  const weeks = [...new Set(open.map((d) => d.week))]
  const lastButOne = fullWeeks(term).at(-2)
  const tryOuts = hadTryOut ? [hadTryOut] : open.filter((d) => d.week === weeks[0])
  let best: { days: TestDays; missed: TestMiss[] } | undefined
  const triples = tryOuts.flatMap((tryOut) =>
    (hadFirst ? [hadFirst] : open.filter((d) => d.week > tryOut.week)).flatMap((first) =>
      open.filter((d) => d.week > first.week).map((second) => ({ tryOut, first, second })),
    ),
  )
  for (const days of triples) {
    const { tryOut, first, second } = days
    const missed: TestMiss[] = [
      ...(second.number - first.number < testsApart ? (['sixWeeks'] as const) : []),
      ...(tryOut.weekday !== first.weekday || first.weekday !== second.weekday ? (['sameWeekday'] as const) : []),
      ...(second.week === lastButOne ? [] : (['lastButOne'] as const)),
      ...(hadTryOut || first.week === weeks[1] ? [] : (['secondWeek'] as const)),
    ]
    if (!best || missed.length < best.missed.length) best = { days, missed }
  }
  return best ?? { missed: ['none'] }
}
