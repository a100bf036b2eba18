import { readdirSync, readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { seededRandom } from '../src/distribution/seededRandom.ts'
import { isTooLong } from '../src/timing/timeline.ts'
import {
  allDocumentKinds,
  ProblemError,
  readDocument,
  referenceProblems,
  timeline,
  sessionDocument,
  writtenText,
  type DocumentKind,
  type Session,
} from '@esfuerzo/core'
import { print } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { library } from './sessions.ts'
import { mutated } from './support/mutate.ts'
import { samples } from './support/samples.ts'

const folder = new URL('./fixtures/version-1/', import.meta.url)
const fixtures = readdirSync(folder).map((file) => JSON.parse(readFileSync(new URL(file, folder), 'utf8')) as unknown)
const example = JSON.parse(
  readFileSync(new URL('../../bench/sessions/sixty-stations.json', import.meta.url), 'utf8'),
) as unknown

const refused = (work: () => unknown): boolean => {
  try {
    work()
    return false
  } catch (error) {
    // Anything except one of our own errors is a crash.
    if (error instanceof ProblemError) return true
    throw error
  }
}

it('mutated documents are refused with problems or read completely, and can then be stored, printed, timed and sent', () => {
  const random = seededRandom(20_261_128)
  const all = [...fixtures, example, ...fixtures]
  let read = 0
  for (let i = 0; i < samples(80, 20_000); i++) {
    const input = mutated(all[i % all.length], random)
    for (const kind of allDocumentKinds as readonly DocumentKind<object>[]) {
      if ((input as { format?: unknown } | null)?.format !== kind.format) continue
      refused(() => {
        const document = readDocument(kind, input)
        read++
        expect(readDocument(kind, JSON.parse(writtenText(kind, document)))).toEqual(document)
        if (kind.format !== sessionDocument.format) return
        const session = document as Session
        if (referenceProblems(session, library).length) return
        print(session, library)
        for (const group of session.groups) isTooLong(timeline(session, group.id, library))
        refused(() => publish(session, library))
      })
    }
  }
  expect(read).toBeGreaterThan(samples(8, 2000))
  expect(({} as { polluted?: boolean }).polluted).toBeUndefined()
})
