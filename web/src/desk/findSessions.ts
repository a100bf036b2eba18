import type { SessionSummary } from '@esfuerzo/contract'
import { foldText, type Builds } from '@esfuerzo/core'

/** Which sessions of the Desk are shown, and in which order. */
export interface Wanted {
  typed: string
  /** Whether they were sent home; both by default. */
  state: 'all' | 'drafts' | 'sent'
  /** For at least one of these grades; null for any. */
  grades: readonly number[] | null
  builds: Builds | null
  sort: 'changed' | 'title' | 'minutes'
}
export const anySession = (): Wanted => ({ typed: '', state: 'all', grades: null, builds: null, sort: 'changed' })

const orders: Record<Wanted['sort'], (a: SessionSummary, b: SessionSummary) => number> = {
  // As the server lists them.
  changed: () => 0,
  title: (a, b) => a.title.localeCompare(b.title),
  minutes: (a, b) => a.minutes - b.minutes,
}

/**
 * The sessions that match, in the chosen order. Every typed word must be in the title; case and accents are ignored. A server one release
 * behind sends no grades and aims: then these filters match nothing.
 *
 * @example findSessions([{ title: 'Storm-day springs', … }], { ...anySession(), typed: 'SPRINGS storm' }).length // 1
 */
export function findSessions(sessions: readonly SessionSummary[], wanted: Wanted): SessionSummary[] {
  const words = foldText(wanted.typed).split(/\s+/)
  return sessions
    .filter(
      (s) =>
        words.every((word) => foldText(s.title).includes(word)) &&
        (wanted.state === 'all' || (wanted.state === 'sent') === (s.sentAt !== null)) &&
        (!wanted.grades || s.groups.some((g) => g.grades?.some((grade) => wanted.grades!.includes(grade)))) &&
        (!wanted.builds || s.builds?.includes(wanted.builds)),
    )
    .toSorted(orders[wanted.sort])
}
