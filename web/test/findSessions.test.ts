import { describe, expect, it } from 'vitest'
import type { SessionSummary } from '@esfuerzo/contract'
import { anySession, findSessions } from '../src/desk/findSessions.ts'

const session = (title: string, more: Partial<SessionSummary> = {}): SessionSummary => ({
  id: title,
  title,
  minutes: 20,
  groups: [{ letter: 'A', name: 'K–1', grades: [0, 1] }],
  builds: ['strength'],
  revision: 1,
  updatedAt: '2026-11-28T10:00:00.000Z',
  sentAt: null,
  runs: 0,
  ...more,
})
const all = [
  session('Tern étude', { sentAt: '2026-11-20T10:00:00.000Z', minutes: 25 }),
  session('Storm-day springs', { groups: [{ letter: 'A', name: '4–6', grades: [4, 5, 6] }], minutes: 12 }),
  session('Anchor chain', { builds: ['endurance', 'power'] }),
]
const titles = (wanted: Partial<ReturnType<typeof anySession>>) =>
  findSessions(all, { ...anySession(), ...wanted }).map((s) => s.title)

describe('sessions on the Desk', () => {
  it('are all shown by default, in the server’s order', () => {
    expect(titles({})).toEqual(['Tern étude', 'Storm-day springs', 'Anchor chain'])
  })

  it('are found by every typed word, in any order, without case and accents', () => {
    expect(titles({ typed: 'SPRINGS storm' })).toEqual(['Storm-day springs'])
    expect(titles({ typed: ' etude ' })).toEqual(['Tern étude'])
    expect(titles({ typed: 'springs tern' })).toEqual([])
  })

  it('are filtered by state, grade and focus together', () => {
    expect(titles({ state: 'sent' })).toEqual(['Tern étude'])
    expect(titles({ state: 'drafts', grades: [1, 2] })).toEqual(['Anchor chain'])
    expect(titles({ grades: [6] })).toEqual(['Storm-day springs'])
    expect(titles({ builds: 'power' })).toEqual(['Anchor chain'])
    expect(titles({ builds: 'power', grades: [6] })).toEqual([])
  })

  it('are sorted by name or minutes', () => {
    expect(titles({ sort: 'title' })).toEqual(['Anchor chain', 'Storm-day springs', 'Tern étude'])
    expect(titles({ sort: 'minutes' })).toEqual(['Storm-day springs', 'Anchor chain', 'Tern étude'])
  })

  it('of a server one release behind match no grade and no focus', () => {
    const { builds: _, ...old } = { ...session('Old'), groups: [{ letter: 'A', name: 'K–1' }] }
    const before = [old as unknown as SessionSummary]
    expect(findSessions(before, anySession())).toHaveLength(1)
    expect(findSessions(before, { ...anySession(), grades: [0] })).toEqual([])
    expect(findSessions(before, { ...anySession(), builds: 'power' })).toEqual([])
  })
})
