import fc from 'fast-check'
import { expect, it } from 'vitest'
import { forms, languages, timeline } from '@esfuerzo/core'
import { formSentences } from '../src/words/formWords.ts'
import { sentences } from '../src/words/say.ts'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

it('whatever a step of any session says has a sentence in every language', () => {
  const seen = new Set<string>()
  const mute = new Set<string>()
  fc.assert(
    fc.property(sessionArbitrary, (session) => {
      for (const block of session.sections.flatMap((s) => s.blocks)) seen.add(block.form)
      for (const { id } of session.groups)
        for (const { say } of timeline(session, id, library))
          for (const language of languages)
            if (!Object.hasOwn({ ...sentences[language], ...formSentences[language] }, say.code))
              mute.add(`${language} ${say.code}`)
    }),
    { numRuns: samples(60, 2000) },
  )
  expect([...seen].sort()).toEqual([...forms].sort())
  expect([...mute]).toEqual([])
})
