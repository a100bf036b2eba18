import { expect, it } from 'vitest'
import { indexLibrary } from '@esfuerzo/core'
import { checkSession } from '@esfuerzo/core/checks'
import { libraryData } from '@esfuerzo/library'
import { bandOf } from '../src/checks/limits.ts'
import { sessionView } from '../src/timing/sessionView.ts'
import { readText } from '@esfuerzo/core/notation'
import { shelf } from './shelf.ts'
import { alarms } from './support/alarms.ts'
import { textsOf } from './support/textsRead.ts'

const library = indexLibrary(libraryData)
const sessions = shelf(library)

it('the shelf is forty sessions of eight to twenty-five minutes, ten for each kind of class, each with why it is good', () => {
  const kinds = sessions.map(({ session }) =>
    session.groups.length > 1 ? 'mixed' : String(bandOf(session.groups[0]!.grades)),
  )
  for (const kind of ['0', '1', '2', 'mixed']) expect(kinds.filter((k) => k === kind)).toHaveLength(10)
  for (const { file, why, session } of sessions) {
    expect(why.length, file).toBeGreaterThan(40)
    expect(session.minutes, file).toBeGreaterThanOrEqual(8)
    expect(session.minutes, file).toBeLessThanOrEqual(25)
    for (const lane of sessionView(session, library))
      expect(lane.totals.session.seconds.typical, file).toBeLessThanOrEqual(session.minutes * 60)
  }
})

it('the shelf has few findings: no fix, advice in at most one session of ten, a median of two tips', () => {
  const found = alarms(sessions.map(({ session }) => checkSession(session, library)))
  expect(found.stops).toBe(0)
  expect(found.looks / found.sessions).toBeLessThanOrEqual(0.1)
  expect(found.medianNotes).toBeLessThanOrEqual(2)
})

it('of plans as teachers write them one has a fix, for its headers, and one has advice, for its words', () => {
  const words = [...textsOf('texts'), ...textsOf('strangers')].flatMap(([file, text]) =>
    checkSession(readText(text, library).workout, library).flatMap(({ rule, level, facts }) =>
      level === 'stop' || facts.words !== undefined ? [`${file}: ${level} ${rule}`] : [],
    ),
  )
  expect(words).toEqual(['51.txt: stop heading', 'a.txt: look filmed'])
})
