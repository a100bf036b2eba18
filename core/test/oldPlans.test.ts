import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { print, readText } from '@esfuerzo/core/notation'
import { planBlocks, planText } from '@esfuerzo/core/oldPlans'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { shelf } from './shelf.ts'
import { samples } from './support/samples.ts'

/** A text as a person sees it: all kinds of blanks are equal, invisible characters are removed. */
const seen = (text: string) => text.replace(/[\p{Cf}]/gu, '').replace(/\s+/g, ' ')

describe('a session as a document', () => {
  it.each(shelf(library).map(({ file, session }) => [file, session] as const))(
    '%s gives the same session when read again',
    (_, session) => {
      const text = planText(planBlocks(session, library))
      const read = readText(text, library)
      expect(read.problems).toEqual([])
      expect(print(read.workout, library)).toBe(print(session, library))
    },
  )

  it('of any kind gives the same session when read again', () => {
    fc.assert(
      fc.property(sessionArbitrary, (session) => {
        const read = readText(planText(planBlocks(session, library)), library)
        expect(read.problems).toEqual([])
        expect(seen(print(read.workout, library))).toBe(seen(print(session, library)))
      }),
      { numRuns: samples(25, 2000) },
    )
  })
})
