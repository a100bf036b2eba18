import type { Term } from './schema.ts'

/** Days of a Gregorian cycle of 400 years, of 100, of 4, of 1. */
const [cycle, century, leap, year] = [146_097, 36_524, 1461, 365]
/** Days before a month in a year that starts in March: 153 every five months. */
const beforeMonth = (fromMarch: number): number => Math.floor((153 * fromMarch + 2) / 5)
/** Days between March 1 of year 0 and 1970. */
const toEpoch = 719_468

/**
 * A date as a whole number, to compute differences; days of the Gregorian calendar, counted from January 1, 1970.
 *
 * @param date an existing ISO date
 * @example dayNumber('1970-01-02') // 1
 */
export function dayNumber(date: string): number {
  const [y, m, d] = date.split('-').map(Number) as [number, number, number]
  const years = m <= 2 ? y - 1 : y
  const ofCycle = ((years % 400) + 400) % 400
  const days = beforeMonth((m + 9) % 12) + d - 1 + ofCycle * year + Math.floor(ofCycle / 4) - Math.floor(ofCycle / 100)
  return Math.floor(years / 400) * cycle + days - toEpoch
}

/** The ISO date of a day number. @example dateOf(1) // '1970-01-02' */
export function dateOf(day: number): string {
  const all = day + toEpoch
  const ofCycle = all - Math.floor(all / cycle) * cycle
  const years = Math.floor(
    (ofCycle - Math.floor(ofCycle / (leap - 1)) + Math.floor(ofCycle / century) - Math.floor(ofCycle / (cycle - 1))) /
      year,
  )
  const ofYear = ofCycle - (year * years + Math.floor(years / 4) - Math.floor(years / 100))
  const fromMarch = Math.floor((5 * ofYear + 2) / 153)
  const month = fromMarch < 10 ? fromMarch + 3 : fromMarch - 9
  const y = Math.floor(all / cycle) * 400 + years + (month <= 2 ? 1 : 0)
  return [String(y).padStart(4, '0'), month, ofYear - beforeMonth(fromMarch) + 1]
    .map((n) => String(n).padStart(2, '0'))
    .join('-')
}

/** @example daysOn('2026-02-27', 3) // '2026-03-02' */
export const daysOn = (date: string, days: number): string => dateOf(dayNumber(date) + days)

/** The ISO 8601 weekday: 1 is Monday. @example weekdayOf('2027-01-05') // 2 */
export const weekdayOf = (date: string): number => ((((dayNumber(date) + 3) % 7) + 7) % 7) + 1

/** A day PE could happen on at home. */
export interface HomeDay {
  date: string
  /** From {@link dayNumber}. */
  number: number
  /** Its week in the term, from 0. */
  week: number
  /** As ISO 8601 counts them. */
  weekday: number
  /** `HH:MM`, in the school's zone. */
  at: string
  /** Why there is none: the name of the holiday. */
  off?: string
}

/**
 * The home days of a term in order, including those in holidays.
 *
 * @example homeDays({ starts: '2027-01-04', weeks: 1, days: [{ weekday: 2, at: '15:00' }], off: [] })[0].date // '2027-01-05'
 */
export function homeDays({ starts, weeks, days, off }: Pick<Term, 'starts' | 'weeks' | 'days' | 'off'>): HomeDay[] {
  return Array.from({ length: weeks * 7 }, (_, i) => daysOn(starts, i)).flatMap((date, i): HomeDay[] => {
    const weekday = weekdayOf(date)
    const day = days.find((d) => d.weekday === weekday)
    if (!day) return []
    const holiday = off.find(({ from, to }) => from <= date && date <= to)
    return [
      {
        date,
        number: dayNumber(date),
        week: Math.floor(i / 7),
        weekday,
        at: day.at,
        ...(holiday && { off: holiday.name }),
      },
    ]
  })
}

/** The home days outside holidays. */
export const openDays = (term: Pick<Term, 'starts' | 'weeks' | 'days' | 'off'>): HomeDay[] =>
  homeDays(term).filter((day) => day.off === undefined)

/** Every fourth week is an easier one. Common practice, no source. */
export const isEasierWeek = (week: number): boolean => week % 4 === 3

/** Weeks whose home days are all open, in order. */
export const fullWeeks = (term: Pick<Term, 'starts' | 'weeks' | 'days' | 'off'>): number[] => {
  const days = homeDays(term)
  return Array.from({ length: term.weeks }, (_, week) => week).filter((week) => {
    const own = days.filter((d) => d.week === week)
    return own.length > 0 && own.every((d) => d.off === undefined)
  })
}

/** Weeks right after holidays: the week before had home days, all closed. */
export const weeksAfterHolidays = (term: Pick<Term, 'starts' | 'weeks' | 'days' | 'off'>): number[] => {
  const days = homeDays(term)
  const isOff = (week: number) => {
    const own = days.filter((d) => d.week === week)
    return own.length > 0 && own.every((d) => d.off !== undefined)
  }
  return Array.from({ length: term.weeks }, (_, week) => week).filter(
    (week) => week > 0 && !isOff(week) && isOff(week - 1),
  )
}
