import ical, { ICalCalendarMethod } from 'ical-generator'
import { DateTime } from 'luxon'

/** A home day in a calendar. */
export interface HomeDayEvent {
  /** Identifies the event forever: a file opened twice adds it once, and a moved event moves. */
  id: string
  title: string
  /** The description below it. */
  text?: string
  link?: string
  /** ISO date in the school's calendar. */
  day: string
  /** `HH:MM`, in the school's zone. */
  at: string
  minutes: number
  /** Higher with every change. */
  sequence?: number
}

export interface HomeDayCalendar {
  name: string
  /** IANA name of the school's zone. */
  zone: string
  /** When this state was current. */
  stamp: Date
  events: readonly HomeDayEvent[]
}

/**
 * Home days as iCalendar (RFC 5545). Times are in UTC, so that no zone has to be described; daylight saving time is applied for each day.
 */
export function calendarFile({ name, zone, stamp, events }: HomeDayCalendar): string {
  const calendar = ical({
    name,
    method: ICalCalendarMethod.PUBLISH,
    prodId: { company: 'Esfuerzo', product: 'Home days', language: 'EN' },
  })
  for (const { id, title, text, link, day, at, minutes, sequence } of events) {
    const start = DateTime.fromISO(`${day}T${at}`, { zone })
    calendar.createEvent({
      id: `${id}@esfuerzo.invalid`,
      stamp,
      start: start.toUTC().toJSDate(),
      end: start.plus({ minutes }).toUTC().toJSDate(),
      summary: title,
      ...(text && { description: text }),
      ...(link && { url: link }),
      ...(sequence !== undefined && { sequence }),
    })
  }
  return calendar.toString()
}
