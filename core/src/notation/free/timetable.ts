import type { Item } from './item.ts'

const pattern =
  /^\s*(\d{1,2})[:.](\d\d)\s*(?:[ap]m)?\s*(?:[-–—]|to)\s*(\d{1,2})[:.](\d\d)\s*(?:[ap]m)?\s*[:–—-]?\s*(?=\S)/i

/** From when to when by the clock on the wall: `9:00 – 9:04 Warm up`. */
export interface TimetableEntry {
  /** As it is written. */
  clock: string
  minutes: number
  /** What stands behind it. */
  text: string
}

/**
 * What stands behind a stretch of a timetable.
 *
 * @returns undefined where the line is in none, or its stretch takes longer than any session
 * @example inTimetable('9:00 - 9:04 Warm up')?.minutes // 4
 */
export function inTimetable(line: string): TimetableEntry | undefined {
  const match = pattern.exec(line)
  if (!match) return undefined
  const at = (hour: string, minute: string) => Number(hour) * 60 + Number(minute)
  const minutes = (at(match[3]!, match[4]!) - at(match[1]!, match[2]!) + 720) % 720
  if (minutes < 1 || minutes > 120) return undefined
  return { clock: match[0].trim(), minutes, text: line.slice(match[0].length) }
}

/** What a stretch of a timetable is: a section of its minutes, whatever stands in it. */
export function timetabled({ clock, minutes }: TimetableEntry, items: Item[], line: number): Item[] {
  const [head, ...others] = items
  const total = minutes * 60
  if (head?.kind === 'heading') return [{ ...head, facts: { ...head.facts, total } }, ...others]
  const title = head?.kind === 'title' || head?.kind === 'note' ? head.text : undefined
  const heading: Item = { line, kind: 'heading', role: 'main', title: title ?? clock, facts: { total }, rows: [] }
  return title === undefined ? [heading, ...items] : [heading, ...others]
}
