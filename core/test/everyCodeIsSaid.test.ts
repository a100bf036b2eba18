import fc from 'fast-check'
import { expect, it } from 'vitest'
import { forms, languages, timeline } from '@esfuerzo/core'
import { formSentences } from '../src/words/formWords.ts'
import { sentences } from '../src/words/say.ts'
import { workoutArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

it('whatever a step of any session says, there is a sentence for it in every language', () => {
  const seen = new Set<string>()
  const mute = new Set<string>()
  fc.assert(
    fc.property(workoutArbitrary, (workout) => {
      for (const block of workout.sections.flatMap((s) => s.blocks)) seen.add(block.form)
      for (const { id } of workout.groups)
        for (const { say } of timeline(workout, id, library))
          for (const language of languages)
            if (!Object.hasOwn({ ...sentences[language], ...formSentences[language] }, say.code))
              mute.add(`${language} ${say.code}`)
    }),
    { numRuns: samples(60, 2000) },
  )
  expect([...seen].sort()).toEqual([...forms].sort())
  expect([...mute]).toEqual([])
})
