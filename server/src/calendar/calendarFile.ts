import ical, { ICalCalendarMethod } from 'ical-generator'
import { DateTime } from 'luxon'

/** Home days of a session, as a calendar has them. */
export interface HomeDays {
  /** Names the events, so that a file opened twice stands once. */
  publicationId: string
  title: string
  /** What is said under it: the link among it. */
  text: string
  link: string
  /** ISO dates of the school's calendar. */
  days: readonly string[]
  /** `HH:MM`, in the school's zone. */
  at: string
  /** IANA name. */
  zone: string
  minutes: number
}

/**
 * Home days as iCalendar (RFC 5545). Times are written in UTC, so that no zone need be described; each day's own
 * summer or winter time is counted.
 */
export function calendarFile(of: HomeDays, now: Date): string {
  const calendar = ical({
    name: of.title,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Esfuerzo', product: 'Home days', language: 'EN' },
  })
  for (const day of of.days) {
    const start = DateTime.fromISO(`${day}T${of.at}`, { zone: of.zone })
    calendar.createEvent({
      id: `${of.publicationId}-${day}@esfuerzo.invalid`,
      stamp: now,
      start: start.toUTC().toJSDate(),
      end: start.plus({ minutes: of.minutes }).toUTC().toJSDate(),
      summary: of.title,
      description: of.text,
      url: of.link,
    })
  }
  return calendar.toString()
}
