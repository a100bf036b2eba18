import { z } from 'zod'

/** How long a class keeps its results. */
export interface Retention {
  /** The last day of the school year: '2027-07-31'. */
  yearEnds: string
  /** Months past it. */
  keepMonths: number
}

/** A calendar date: '2027-07-31'. */
export const daySchema = z.iso.date().regex(/^2\d{3}-/)
export const keepMonthsSchema = z.int().min(0).max(24)

const parts = (day: string) => day.split('-').map(Number) as [number, number, number]
const two = (n: number) => String(n).padStart(2, '0')
const dayOf = (year: number, month: number, day: number) => `${year}-${two(month)}-${two(day)}`
/** How many days a month has, months from 1. */
function daysIn(year: number, month: number): number {
  if (month !== 2) return [4, 6, 9, 11].includes(month) ? 30 : 31
  return year % 4 === 0 && (year % 100 !== 0 || year % 400 === 0) ? 29 : 28
}

/**
 * A date some months later; the last day of the month if the day does not exist there.
 *
 * @example monthsLater('2027-08-31', 1) // '2027-09-30'
 */
export function monthsLater(day: string, months: number): string {
  const [year, month, date] = parts(day)
  const all = year * 12 + (month - 1) + months
  const [y, m] = [Math.floor(all / 12), (all % 12) + 1]
  return dayOf(y, m, Math.min(date, daysIn(y, m)))
}

/**
 * The default end of the school year that contains a date: July 31. Common practice of schools north of the equator, no source; a teacher
 * can set her own.
 *
 * @example usualYearEnd('2026-11-28') // '2027-07-31'
 */
export function usualYearEnd(day: string): string {
  const [year, month] = parts(day)
  return dayOf(month >= 8 ? year + 1 : year, 7, 31)
}

/** The last day on which a school year's results are kept. @example keptUntil({ yearEnds: '2027-07-31', keepMonths: 2 }) // '2027-09-30' */
export const keptUntil = ({ yearEnds, keepMonths }: Retention): string => monthsLater(yearEnds, keepMonths)

/**
 * The latest year-end whose results are due for deletion, with everything before it. A class that has moved up has earlier years, each with
 * its own end.
 *
 * @param today '2027-08-01'
 * @example lastYearToGo({ yearEnds: '2027-07-31', keepMonths: 0 }, '2027-08-01') // '2027-07-31'
 * @example lastYearToGo({ yearEnds: '2028-07-31', keepMonths: 2 }, '2027-09-30') // '2026-07-31'
 */
export function lastYearToGo({ yearEnds, keepMonths }: Retention, today: string): string {
  let back = 0
  while (keptUntil({ yearEnds: monthsLater(yearEnds, -12 * back), keepMonths }) >= today) back++
  return monthsLater(yearEnds, -12 * back)
}

/**
 * The date of the next deletion of results, if it is less than a month away.
 *
 * @example goesSoon({ yearEnds: '2027-07-31', keepMonths: 0 }, '2027-07-10') // '2027-07-31'
 * @example goesSoon({ yearEnds: '2027-07-31', keepMonths: 0 }, '2027-05-10') // undefined
 * @example goesSoon({ yearEnds: '2029-07-31', keepMonths: 24 }, '2028-07-10') // '2028-07-31'
 */
export function goesSoon({ yearEnds, keepMonths }: Retention, today: string): string | undefined {
  // Results kept for two years belong to three school years at once, each with its own end.
  const ends = [-36, -24, -12, 0].map((back) => keptUntil({ yearEnds: monthsLater(yearEnds, back), keepMonths }))
  const next = ends.find((end) => end >= today)
  return next && next <= monthsLater(today, 1) ? next : undefined
}
