import fc from 'fast-check'
import { expect, it } from 'vitest'
import { readSession, stationsOf, traitsOf, valueFor, type Station, type Session } from '@esfuerzo/core'
import { checkSession, fixesOf, fixWords, levels, type Finding } from '@esfuerzo/core/checks'
import { lowestGrade } from '../src/terms/group.ts'
import { timeline } from '../src/timing/timeline.ts'
import { totals } from '../src/timing/totals.ts'
import { libraryFor } from '../src/library/carryMoves.ts'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

const stations = (w: Session) => w.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
/** How often each rule has findings, by weight. */
const said = (found: readonly Finding[]) => {
  const counts = new Map<string, number>()
  for (const { rule, level } of found) counts.set(`${rule} ${level}`, (counts.get(`${rule} ${level}`) ?? 0) + 1)
  return counts
}
/** Seconds of each lane, by its steps added up. */
const secondsOf = (w: Session) =>
  Object.fromEntries(
    w.groups.map((g) => [
      g.id,
      totals(timeline(w, g.id, libraryFor(w, library)), g, libraryFor(w, library)).session.seconds.typical,
    ]),
  )
/** How often each block is gone through, lane by lane. */
const lapsOf = (w: Session) =>
  w.sections
    .flatMap((s) => s.blocks)
    .map((b) => w.groups.map((g) => `${g.letter} ${traitsOf(b).laps(b as never, g.id)}`))
/** Exercises that a group of kindergarten or grade 1 does. */
const youngMoves = (w: Session) =>
  new Set(
    w.groups
      .filter((g) => lowestGrade(g) < 2)
      .flatMap((g) => stations(w).map((s) => (s.cells.by?.[g.id] ?? s.cells.all).move)),
  )
/** What every group does in a row, and the texts about it. */
const done = ({ cells, ...row }: Station, { groups }: Session) =>
  JSON.stringify([row, groups.map((g) => valueFor(cells, g.id))])
const named = (w: Session) => stations(w).flatMap((s) => (s.storyName ? [s.id] : []))

it('every fix of any session resolves its finding, adds none of the same weight, keeps the story, and reports its seconds', () => {
  let tried = 0
  const kinds = new Set<string>()
  fc.assert(
    fc.property(sessionArbitrary, (session) => {
      const before = checkSession(session, library)
      for (const finding of before.slice(0, 6))
        for (const fix of fixesOf(session, finding, library, fixWords.en)) {
          tried++
          kinds.add(fix.id)
          const { session: edited } = fix
          expect(readSession(edited)).toEqual(edited)
          const after = checkSession(edited, library)
          // Gone, and findings of the same weight are no more frequent than before.
          const key = `${finding.rule} ${finding.level}`
          expect(said(after).get(key) ?? 0, `${fix.id} for ${key}`).toBeLessThan(said(before).get(key)!)
          const [old, now] = [said(before), said(after)]
          for (const [one, n] of now)
            if (levels.indexOf(one.split(' ')[1] as Finding['level']) <= levels.indexOf(finding.level))
              expect(n, `${fix.id} for ${key} brings ${one}`).toBeLessThanOrEqual(old.get(one) ?? 0)
          // Rows with a story name keep their order and stay in the same section.
          expect(named(edited).filter((id) => named(session).includes(id))).toEqual(
            named(session).filter((id) => named(edited).includes(id)),
          )
          // A fix for one row changes that row, or swaps two rows.
          const rows = new Map(stations(session).map((row) => [row.id, done(row, session)]))
          const changed = stations(edited).filter((row) => rows.get(row.id) !== done(row, session))
          if (finding.where.station) expect(changed.length, fix.id).toBeLessThanOrEqual(1)
          // Nothing new for the youngest except walking and marching.
          const known = youngMoves(session)
          expect([...youngMoves(edited)].filter((id) => !known.has(id) && id !== 'march')).toEqual([])
          const [takes, took] = [secondsOf(edited), secondsOf(session)]
          for (const [group, seconds] of Object.entries(fix.seconds))
            expect(seconds).toBe(Math.round(takes[group]! - took[group]!))
          // What is said of laps is what became of them: of those lanes and of no other.
          if (typeof fix.facts.steps === 'string') {
            const moved = lapsOf(session).flatMap((lanes, b) =>
              lanes.flatMap((lane, l) => (lane === lapsOf(edited)[b]![l] ? [] : [[lane, lapsOf(edited)[b]![l]!]])),
            )
            const told = new Set(moved.map(([lane]) => lane!.split(' ')[0]))
            for (const { letter } of session.groups)
              if (/\(|[A-Z]/.test(fix.facts.steps)) expect(fix.facts.steps.includes(letter)).toBe(told.has(letter))
              else expect(told.has(letter)).toBe(true)
            for (const [from, to] of moved)
              expect(fix.facts.steps).toContain(`${from!.split(' ')[1]} → ${to!.split(' ')[1]}`)
          }
        }
    }),
    { numRuns: samples(10, 600) },
  )
  expect(tried).toBeGreaterThan(20)
  expect(kinds.size).toBeGreaterThan(5)
})
