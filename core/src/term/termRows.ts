import { comingsBefore } from './edits.ts'
import { homeDays } from './days.ts'
import type { Term } from './schema.ts'

/** A day of a term as a list shows it. */
export interface TermRow {
  /** 1 the first. */
  week: number
  date: string
  at: string
  /** The session's title; the holiday's name without one; empty for nothing. */
  title: string
  kind: 'session' | 'free' | 'off' | 'nothing'
  /** Its number in its series, from 1; 0 without a session. */
  time: number
}

/**
 * The home days of a term in order, each with what is planned on it.
 *
 * @param titles of sessions by id; a deleted one keeps its stored name
 */
export function termRows(term: Term, titles: ReadonlyMap<string, string>): TermRow[] {
  const placed = new Map(term.places.map((p) => [p.date, p]))
  return homeDays(term).map(({ week, date, at, off }): TermRow => {
    const row = { week: week + 1, date, at, time: 0 }
    const place = placed.get(date)
    if (off !== undefined) return { ...row, kind: 'off', title: off }
    if (!place) return { ...row, kind: 'nothing', title: '' }
    if (!place.session) return { ...row, kind: 'free', title: '' }
    const title = titles.get(place.made ?? place.session) ?? place.title ?? ''
    return { ...row, kind: 'session', title, time: comingsBefore(term, place) + 1 }
  })
}

const cell = (text: string): string => text.replaceAll('\\', '\\\\').replaceAll('|', '\\|')

/**
 * A term as CommonMark with a table: one row per week, one column per home day.
 *
 * @param words for a free day, and for a repeat of a session
 * @example termMarkdown(term, titles, { free: 'free', again: (n) => `(${n})` }).split('\n')[0] // '# Winter'
 */
export function termMarkdown(
  term: Term,
  titles: ReadonlyMap<string, string>,
  words: { free: string; again: (time: number) => string },
): string {
  const rows = termRows(term, titles)
  const weeks = [...new Set(rows.map((r) => r.week))]
  const most = term.days.length
  const said = ({ kind, title, time }: TermRow) =>
    kind === 'free' ? words.free : time > 1 ? `${cell(title)} ${words.again(time)}` : cell(title)
  const line = (cells: readonly string[]) => `| ${cells.join(' | ')} |`
  return [
    `# ${term.title}`,
    '',
    line(['', ...Array.from({ length: most }, () => '')]),
    line(Array.from({ length: most + 1 }, () => '---')),
    ...weeks.map((week) =>
      line([String(week), ...rows.filter((r) => r.week === week).map((r) => `${r.date} ${said(r)}`.trim())]),
    ),
    '',
  ].join('\n')
}
