import { expect, it } from 'vitest'
import { newSession, ProblemError } from '@esfuerzo/core'
import { sessionFileName, sessionFromText } from '../src/documents/sessionFile.ts'

const text = (spoil: (w: Record<string, unknown>) => void = () => {}) => {
  const session = JSON.parse(JSON.stringify(newSession('Springs', [[1]], 20, 1)))
  spoil(session)
  return JSON.stringify(session)
}

it('reads a session back as it was saved', () => {
  expect(sessionFromText(text())).toEqual(newSession('Springs', [[1]], 20, 1))
})

it('refuses invalid data, and unknown moves', () => {
  expect(() => sessionFromText(text((w) => (w.colour = 1)))).toThrow('unknown-key at colour')
  const stations = [{ id: 's1', cells: { all: { move: 'moonwalk', version: 'x' } } }]
  const blocks = [{ id: 'b1', form: 'list', stations, restAfter: { all: 0 } }]
  const sections = [{ id: 'p1', role: 'main', title: 'x', blocks }]
  expect(() => sessionFromText(text((w) => (w.sections = sections)))).toThrow(ProblemError)
})

it('names a file by the session’s title in plain letters', () => {
  expect(['Storm-day springs!', 'Été  à la mer', '风', '../../etc'].map(sessionFileName)).toEqual([
    'storm-day-springs.json',
    'ete-a-la-mer.json',
    'session.json',
    'etc.json',
  ])
})
