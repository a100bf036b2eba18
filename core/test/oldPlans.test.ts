import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { print, readText } from '@esfuerzo/core/notation'
import { planBlocks, planText } from '@esfuerzo/core/oldPlans'
import { workoutArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { shelf } from './shelf.ts'
import { samples } from './support/samples.ts'

/** A text as one sees it: blanks of all kinds alike, what is no ink left out. */
const seen = (text: string) => text.replace(/[\p{Cf}]/gu, '').replace(/\s+/g, ' ')

describe('a session as a document', () => {
  it.each(shelf(library).map(({ file, workout }) => [file, workout] as const))(
    '%s is read again the same',
    (_, workout) => {
      const text = planText(planBlocks(workout, library))
      const read = readText(text, library)
      expect(read.problems).toEqual([])
      expect(print(read.workout, library)).toBe(print(workout, library))
    },
  )

  it('of any kind is read again the same', () => {
    fc.assert(
      fc.property(workoutArbitrary, (workout) => {
        const read = readText(planText(planBlocks(workout, library)), library)
        expect(read.problems).toEqual([])
        expect(seen(print(read.workout, library))).toBe(seen(print(workout, library)))
      }),
      { numRuns: samples(25, 2000) },
    )
  })
})
