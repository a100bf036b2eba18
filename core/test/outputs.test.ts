import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { gunzipSync, gzipSync } from 'node:zlib'
import fc from 'fast-check'
import { expect, it } from 'vitest'
import { indexLibrary, readSession, type Session } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { libraryWords } from '@esfuerzo/library/words'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { sessionArbitrary } from './arbitraries.ts'
import { digest, outputs } from './support/outputs.ts'
import { samples } from './support/samples.ts'

const library = indexLibrary({ ...libraryData, words: libraryWords })
const at = (file: string) => new URL(`./fixtures/outputs/${file}`, import.meta.url)
const renew = process.env.RENEW === 'outputs'

/** A hundred random sessions, generated once and stored, so that they stay the same when forms are added. */
function drawn(): Session[] {
  if (renew && !existsSync(at('sessions.json.gz'))) {
    const sessions = fc.sample(sessionArbitrary, { numRuns: 100, seed: 13 })
    writeFileSync(at('sessions.json.gz'), gzipSync(JSON.stringify(sessions)))
  }
  return (JSON.parse(gunzipSync(readFileSync(at('sessions.json.gz'))).toString()) as unknown[]).map(readSession)
}

it('outputs of every demo session and of random ones are unchanged, byte by byte', () => {
  const sessions: [string, Session][] = [
    ...demoSessions.map((s): [string, Session] => {
      const session = demoSession(s, library)
      return [s.file, s.weeksAgo === 4 ? { ...session, title: `fit: ${session.title}` } : session]
    }),
    ...drawn()
      .slice(0, renew ? undefined : samples(20, 100))
      .map((w, i): [string, Session] => [`random ${i + 1}`, w]),
  ]
  const made = Object.fromEntries(
    sessions.map(([name, w]) => [
      name,
      Object.fromEntries(Object.entries(outputs).map(([kind, make]) => [kind, digest(() => make(w, library))])),
    ]),
  )
  // To accept an intended change of the outputs:  RENEW=outputs npx vitest run --project core outputs
  if (renew) writeFileSync(at('digests.json'), `${JSON.stringify(made, null, 1)}\n`)
  const before = JSON.parse(readFileSync(at('digests.json'), 'utf8')) as typeof made
  expect(made).toEqual(Object.fromEntries(sessions.map(([name]) => [name, before[name]])))
  expect(Object.keys(before)).toHaveLength(demoSessions.length + 100)
})
