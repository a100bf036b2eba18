import { readdirSync, readFileSync } from 'node:fs'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { partDocument, partOf, setStation, stationsOf, type Block, type ProblemError } from '@esfuerzo/core'
import { newMeasure } from '../src/forms/measure/schema.ts'
import { pathText } from '../src/base/problem.ts'
import {
  allDocumentKinds,
  documentKinds,
  libraryFor,
  newSettings,
  readCarried,
  readDocument,
  readSession,
  setDetails,
  setGroup,
  settingsDocument,
  timeline,
  totals,
  valueFor,
  sessionDocument,
  writtenCarried,
  writtenDocument,
  type DocumentKind,
  type Session,
} from '@esfuerzo/core'
import { print } from '@esfuerzo/core/notation'
import { publish, type Publication } from '@esfuerzo/core/publication'
import { courseOf } from '@esfuerzo/core/run'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'

/** Every document of the previous version, as that version wrote it. */
const folder = new URL('fixtures/version-1/', import.meta.url)
const fixtures = readdirSync(folder).map((file) => {
  const data = JSON.parse(readFileSync(new URL(file, folder), 'utf8')) as { format: string; version: number }
  const kind = allDocumentKinds.find((k) => k.format === data.format)!
  return { name: file.replace('.json', ''), data, kind }
})
const fixture = (name: string) => fixtures.find((f) => f.name === name)!
const read = <T>(kind: DocumentKind<T>, name: string): T => readDocument(kind, fixture(name).data)

it('there is a document of the previous version for every kind', () => {
  expect(new Set(fixtures.map((f) => f.kind))).toEqual(new Set(allDocumentKinds))
  expect(fixtures.every((f) => f.data.version === 1)).toBe(true)
})

describe.each(fixtures)('$name of version 1', ({ data, kind }) => {
  it('is read as this version’s, with the same result twice, and is not changed', () => {
    const before = structuredClone(data)
    const document = readDocument(kind, data) as { version: number }
    expect(document.version).toBe(kind.version)
    expect(readDocument(kind, document)).toEqual(document)
    expect(data).toEqual(before)
  })

  it('is written so that the previous release reads it, if that release wrote it', () => {
    const written = writtenDocument(kind, readDocument(kind, data)) as { version: number }
    // Runs can always be read, and devices write them in their own version: see docs/formats.md.
    const wanted = kind === documentKinds.run ? { ...data, version: 2 } : data
    // Settings had one more version in between: theirs is the previous release.
    expect(written).toEqual(kind === settingsDocument ? { ...data, version: 2, readings: {} } : wanted)
  })

  it('of a later version is refused by its version only', () => {
    const later = { ...data, version: kind.version + 1, somethingNew: true }
    const problems = (() => {
      try {
        readDocument(kind, later)
        return []
      } catch (error) {
        return (error as ProblemError).problems
      }
    })()
    expect(problems.map((p) => [p.code, pathText(p.path)])).toEqual([['newer-version', 'version']])
  })
})

it('settings of version 2 have no country, those of 3 no checks; what these cannot express is written in this version', () => {
  const { version } = settingsDocument
  const whole = { ...newSettings('Atlantic/Azores'), readings: { pu: 'push-up' } }
  const asBefore = (settings: typeof whole) => writtenDocument(settingsDocument, settings) as { version: number }
  const second = asBefore(whole)
  expect(second).toMatchObject({ version: 2, readings: { pu: 'push-up' } })
  expect(second).not.toHaveProperty('country')
  expect(readDocument(settingsDocument, second)).toEqual({ ...whole, version, country: 'unsaid', checks: {} })
  const third = asBefore({ ...whole, country: 'NZ' })
  expect(third).toMatchObject({ version: 3, country: 'NZ' })
  expect(third).not.toHaveProperty('checks')
  expect(readDocument(settingsDocument, third)).toEqual({ ...whole, version, country: 'NZ' })
  const policies = { ...whole, checks: { 'no-water': 'off' } } as const
  expect(writtenDocument(settingsDocument, policies)).toEqual(policies)
})

it('a session with a new test, or with answers, is written in the version that has them', () => {
  const session: Session = read(sessionDocument, 'session')
  const answered = { ...session, answered: [{ finding: 'no-water||||', reason: 'the tap is next door' }] }
  expect(writtenDocument(sessionDocument, answered)).toEqual({ ...answered, version: 3 })
  expect(readSession(JSON.parse(JSON.stringify(answered)))).toEqual(answered)
  const block = newMeasure('b99')
  const measuring = (fields: object): Session => ({
    ...answered,
    sections: [{ ...session.sections[0]!, blocks: [{ ...block, ...fields } as Block] }],
  })
  for (const fields of [{ test: 'longJump' }, { test: 'sitAndReach', setUp: 'step' }, { betweenLaps: 'wallSit' }])
    expect(writtenDocument(sessionDocument, measuring(fields))).toEqual(measuring(fields))
  expect(writtenDocument(sessionDocument, measuring({ test: 'sitAndReach' }))).toMatchObject({ version: 3 })
  const piece = partOf(session, measuring({ test: 'longJump' }).sections[0]!.blocks[0]!)
  expect(writtenDocument(partDocument, piece)).toEqual(piece)
  expect(writtenDocument(partDocument, partOf(session, block))).toMatchObject({ version: 1 })
  const note = setStation(session, stationsOf(session.sections[1]!.blocks[0]!)[0]!.id, { note: 'softly' })
  expect(writtenDocument(sessionDocument, note)).toEqual({ ...note, version: 2 })
  expect(readSession({ ...note, version: 2 })).toEqual(note)
})

it('a run with minutes moved, a lane with its own pace and a session that asks are written in this version', () => {
  const run = read(documentKinds.run, 'run')
  expect(writtenDocument(documentKinds.run, run)).toEqual({ ...run, version: 2 })
  const moved = { ...run, movedMinutes: 120 }
  expect(writtenDocument(documentKinds.run, moved)).toEqual(moved)
  expect(readDocument(documentKinds.run, { ...run, version: 2 })).toEqual(run)
  const session: Session = read(sessionDocument, 'session')
  const asks = setDetails(session, { asksMoved: true })
  expect(writtenDocument(sessionDocument, asks)).toEqual(asks)
  expect(setDetails(asks, { asksMoved: false })).toEqual(session)
  const paced = setGroup(session, session.groups[0]!.id, { pace: 1.12 })
  expect(writtenDocument(sessionDocument, paced)).toEqual(paced)
  expect(setGroup(paced, session.groups[0]!.id, { pace: 1 })).toEqual(session)
  const seconds = (w: Session) => timeline(w, w.groups[0]!.id, libraryFor(w, library)).at(-1)!.at
  expect(seconds(paced)).toBeGreaterThan(seconds(session))
})

describe('a session of version 1', () => {
  const session: Session = read(sessionDocument, 'session')

  const withHers = libraryFor(session, library)

  it('can be opened, timed, printed, sent and played', () => {
    const forms = session.sections.flatMap((s) => s.blocks).map((b) => b.form)
    expect(new Set(forms).size).toBe(14)
    for (const group of session.groups) {
      const { seconds } = totals(timeline(session, group.id, withHers), group, withHers).session
      expect(seconds.typical).toBeGreaterThan(600)
    }
    expect(print(session, library)).toContain('pick 2')
    const publication = publish(session, library)
    expect(courseOf(publication, ['g1']).lanes[0]!.steps.length).toBeGreaterThan(50)
    const [play] = Object.values(publication.lanes[0]!.plays).filter((p) => p?.form === 'intervals')
    expect(play).toMatchObject({ pick: 2 })
  })

  it('can be played now if it was sent then', () => {
    const publication: Publication = read(documentKinds.publication, 'publication')
    expect(courseOf(publication, ['g1', 'g3']).lanes).toHaveLength(2)
  })

  it('has a per-group choice from now on', () => {
    const pick = session.sections.flatMap((s) => s.blocks).find((b) => b.form === 'intervals' && b.pick)
    expect(pick?.form === 'intervals' && valueFor(pick.pick!, 'g2')).toBe(2)
  })
})

describe('compatibility of two releases', () => {
  it('holds for any session: written in the previous version if that can express it, otherwise in this one', () => {
    let before = 0
    fc.assert(
      fc.property(sessionArbitrary, (session) => {
        const written = writtenDocument(sessionDocument, session) as { version: number }
        expect(readSession(written)).toEqual(session)
        const stations = session.sections.flatMap((s) => s.blocks).flatMap((b) => ('stations' in b ? b.stations : []))
        const says2 =
          session.sections.some((s) => s.minutes !== undefined) ||
          stations.some((s) => s.note !== undefined || s.easier !== undefined || s.harder !== undefined) ||
          session.sections
            .flatMap((s) => s.blocks)
            .some((b) => (b.form === 'ladder' && b.rungs) || (b.form === 'intervals' && b.pick?.by))
        expect(written.version).toBe(says2 ? 2 : 1)
        if (!says2) before++
      }),
      { numRuns: samples(25, 400) },
    )
    expect(before).toBeGreaterThan(5)
  })

  it('holds on the network: every document in a message is read on the way in and written on the way out', () => {
    const session = read(sessionDocument, 'session')
    const message = {
      id: 'x',
      parts: [{ name: 'y', part: fixture('part-section').data }],
      document: fixture('session').data,
    }
    const got = readCarried(allDocumentKinds, message) as { document: Session; parts: { part: { version: number } }[] }
    expect(got.document).toEqual(session)
    expect(got.parts[0]!.part.version).toBe(3)
    expect(writtenCarried(allDocumentKinds, got)).toEqual(message)
    expect(() => readCarried(allDocumentKinds, { document: { ...fixture('session').data, version: 5 } })).toThrow(
      'newer-version',
    )
    for (const plain of [null, 3, 'text', [], { a: [1] }]) expect(readCarried(allDocumentKinds, plain)).toEqual(plain)
  })
})
