import fc from 'fast-check'
import { expect, it } from 'vitest'
import { isTooLong } from '../src/timing/timeline.ts'
import { indexLibrary, ProblemError, sessionView, timeline, totals, type Library, type Workout } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { cellArbitrary, workoutArbitrary } from './arbitraries.ts'
import { largeSession } from './support/hostile.ts'
import { library } from './sessions.ts'
import { editsOf } from './support/anyEdit.ts'
import { samples } from './support/samples.ts'

/** The view as the timeline tells it: every step at its second of the session. */
const told = (workout: Workout, from: Library) =>
  sessionView(workout, from).map(({ group, blocks, totals, tooLong }) => ({
    group,
    steps: blocks.flatMap(({ start, timed }) => timed.steps.map((step) => ({ ...step, at: start + step.at }))),
    totals,
    tooLong,
  }))

/** The same, timed whole, with nothing known from before. */
const whole = (workout: Workout, from: Library) =>
  workout.groups.map((group) => {
    const steps = timeline(workout, group.id, from)
    return { group, steps, totals: totals(steps, group, from), tooLong: isTooLong(steps) }
  })

it('is, after every edit, what timing the whole session anew gives', () => {
  fc.assert(
    fc.property(
      workoutArbitrary,
      fc.infiniteStream(fc.nat()),
      fc.array(cellArbitrary, { minLength: 4, maxLength: 10 }),
      (start, stream, cells) => {
        let workout = start
        expect(told(workout, library)).toEqual(whole(workout, library))
        const pick = (n: number) => stream.next().value! % n
        for (const cell of cells) {
          const edits = Object.values(editsOf(workout, pick, cell))
          try {
            workout = edits[pick(edits.length)]!()
          } catch (error) {
            expect(error).toBeInstanceOf(ProblemError)
          }
          expect(told(workout, library)).toEqual(whole(workout, library))
        }
      },
    ),
    { numRuns: samples(25, 300) },
  )
})

it('times nothing again that was not touched, and everything with another library', () => {
  const workout = largeSession()
  const blocksOf = (w: Workout, from = library) => sessionView(w, from).flatMap(({ blocks }) => blocks)
  const before = blocksOf(workout)
  const [first, ...others] = workout.sections
  const edited = { ...workout, sections: [{ ...first!, title: 'Another' }, ...others] }
  expect(blocksOf(edited).map(({ timed }) => timed)).toEqual(before.map(({ timed }) => timed))
  expect(blocksOf(edited).every(({ timed }, i) => timed === before[i]!.timed)).toBe(true)
  const like = indexLibrary(libraryData)
  expect(blocksOf(workout, like).some(({ timed }, i) => timed === before[i]!.timed)).toBe(false)
})

it('ends a lane that is too long where its timeline ends', () => {
  const workout = largeSession()
  const [section] = workout.sections
  const twice = { ...section!, id: 'again', blocks: section!.blocks.map((b) => ({ ...b, id: `${b.id}-again` })) }
  const tooLong = { ...workout, sections: [...workout.sections, twice] }
  expect(sessionView(tooLong, library)[0]!.tooLong).toBe(true)
  expect(told(tooLong, library)).toEqual(whole(tooLong, library))
})
