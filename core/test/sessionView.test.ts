import fc from 'fast-check'
import { expect, it } from 'vitest'
import { isTooLong } from '../src/timing/timeline.ts'
import { indexLibrary, ProblemError, sessionView, timeline, totals, type Library, type Session } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { cellArbitrary, sessionArbitrary } from './arbitraries.ts'
import { largeSession } from './support/hostile.ts'
import { library } from './sessions.ts'
import { editsOf } from './support/anyEdit.ts'
import { samples } from './support/samples.ts'

/** The view from the timeline: every step at its second of the session. */
const told = (session: Session, from: Library) =>
  sessionView(session, from).map(({ group, blocks, totals, tooLong }) => ({
    group,
    steps: blocks.flatMap(({ start, timed }) => timed.steps.map((step) => ({ ...step, at: start + step.at }))),
    totals,
    tooLong,
  }))

/** The same session, timed completely without a cache. */
const whole = (session: Session, from: Library) =>
  session.groups.map((group) => {
    const steps = timeline(session, group.id, from)
    return { group, steps, totals: totals(steps, group, from), tooLong: isTooLong(steps) }
  })

it('after every edit equals timing the whole session again', () => {
  fc.assert(
    fc.property(
      sessionArbitrary,
      fc.infiniteStream(fc.nat()),
      fc.array(cellArbitrary, { minLength: 4, maxLength: 10 }),
      (start, stream, cells) => {
        let session = start
        expect(told(session, library)).toEqual(whole(session, library))
        const pick = (n: number) => stream.next().value! % n
        for (const cell of cells) {
          const edits = Object.values(editsOf(session, pick, cell))
          try {
            session = edits[pick(edits.length)]!()
          } catch (error) {
            expect(error).toBeInstanceOf(ProblemError)
          }
          expect(told(session, library)).toEqual(whole(session, library))
        }
      },
    ),
    { numRuns: samples(25, 300) },
  )
})

it('times again only what was touched, and everything with another library', () => {
  const session = largeSession()
  const blocksOf = (w: Session, from = library) => sessionView(w, from).flatMap(({ blocks }) => blocks)
  const before = blocksOf(session)
  const [first, ...others] = session.sections
  const edited = { ...session, sections: [{ ...first!, title: 'Another' }, ...others] }
  expect(blocksOf(edited).map(({ timed }) => timed)).toEqual(before.map(({ timed }) => timed))
  expect(blocksOf(edited).every(({ timed }, i) => timed === before[i]!.timed)).toBe(true)
  const like = indexLibrary(libraryData)
  expect(blocksOf(session, like).some(({ timed }, i) => timed === before[i]!.timed)).toBe(false)
})

it('ends a lane that is too long where its timeline ends', () => {
  const session = largeSession()
  const [section] = session.sections
  const twice = { ...section!, id: 'again', blocks: section!.blocks.map((b) => ({ ...b, id: `${b.id}-again` })) }
  const tooLong = { ...session, sections: [...session.sections, twice] }
  expect(sessionView(tooLong, library)[0]!.tooLong).toBe(true)
  expect(told(tooLong, library)).toEqual(whole(tooLong, library))
})
