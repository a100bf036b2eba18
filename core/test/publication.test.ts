import { describe, expect, it } from 'vitest'
import { type SayCode } from '../src/timing/step.ts'
import { sentences } from '../src/words/say.ts'
import { doseWords, languageOf, languages, moveNames, phrasesIn, sayText, timeline, type Say } from '@esfuerzo/core'
import { publicationSchema, publish } from '@esfuerzo/core/publication'
import { feltScale, runSchema, type Run } from '@esfuerzo/core/run'
import { library, sessionOf, station } from './sessions.ts'

const session = sessionOf(
  [
    {
      id: 'b1',
      form: 'talk',
      seconds: { all: 20 },
      note: 'Tell them about the ferry',
      link: 'https://films.example/1',
    },
    {
      id: 'b2',
      form: 'intervals',
      laps: { all: [{ work: 30, rest: 30 }] },
      stations: [
        { ...station('squat-jump', 'frog'), focus: 'Quiet feet', record: 'reps' },
        station('one-leg-stand', 'one-leg-stand'),
      ],
    },
  ],
  [
    [0, 1],
    [4, 5],
  ],
)
session.sections[0]!.note = 'Watch Limpet 11'
const sent = publish(session, library)

describe('a publication', () => {
  it('has the lanes with their steps, and only their exercises with easier versions and figures', () => {
    expect(sent.lanes.map((l) => [l.letter, l.pace, l.seconds.typical])).toEqual([
      ['A', 1.25, 140],
      ['B', 1, 140],
    ])
    expect(sent.lanes[0]!.steps).toEqual(timeline(session, 'g1', library))
    expect(sent.moves.map((m) => [m.id, m.versions.map((v) => v.id)])).toEqual([
      ['squat-jump', ['rise', 'frog', 'squat-jump']],
      ['one-leg-stand', ['finger-stand', 'one-leg-stand']],
    ])
    expect(sent.figures.map((f) => f.id).sort()).toEqual([
      'frog-jump',
      'one-leg-stand',
      'one-leg-stand-wall',
      'squat',
      'squat-jump',
    ])
  })

  it('has no teacher’s note or link in it', () => {
    const text = JSON.stringify(sent)
    for (const secret of ['ferry', 'Limpet', 'films.example', 'note']) expect(text).not.toContain(secret)
    expect(text).toContain('Quiet feet')
  })

  it('asks for an adult nearby for K–2 only', () => {
    expect(sent.care).toContain('adultNear')
    expect(publish({ ...session, groups: [session.groups[1]!] }, library).care).not.toContain('adultNear')
  })

  it('refuses a session without an exercise', () => {
    expect(() => publish(sessionOf([]), library)).toThrow('too-small')
  })

  it('is read leniently: unknown keys are ignored, unknown kinds run as timed work', () => {
    const newer = JSON.parse(JSON.stringify({ ...sent, version: 7, mood: 'sunny' }))
    newer.lanes[0].steps[0].kind = 'dance'
    newer.lanes[0].steps[0].by = 'moon'
    const read = publicationSchema.parse(newer)
    expect(read.lanes[0]!.steps[0]).toMatchObject({ kind: 'work', by: 'clock' })
    expect(read).not.toHaveProperty('mood')
    expect(publicationSchema.parse(sent)).toEqual(JSON.parse(JSON.stringify(sent)))
  })
})

it('has every saying in every language, without an unfilled placeholder', () => {
  const codes = Object.keys(sentences.en) as SayCode[]
  expect(Object.keys(sentences.es).sort()).toEqual([...codes].sort())
  const names = moveNames(library.moves)
  expect(sayText({ code: 'restNext', params: { move: 'squat-jump', version: 'tuck-jump' } }, names, 'en')).toBe(
    'Breathe. Next: Tuck jump',
  )
  const tens: Say = {
    code: 'work',
    params: { move: 'squat', version: 'squat', amount: { from: 10, to: 15 }, unit: 'reps' },
  }
  expect(sayText(tens, names, 'en')).toBe('Squat, 10 to 15 times')
  const inSpanish = moveNames(library.moves, phrasesIn({ es: { Squat: 'Sentadilla' } }, 'es'))
  expect(sayText(tens, inSpanish, 'es')).toBe('Sentadilla, de 10 a 15 veces')
  expect(
    sayText({ code: 'workSide', params: { move: 'squat', story: 'Sit on the rock', side: 'second' } }, names, 'en'),
  ).toBe('Sit on the rock, other side')
  for (const language of languages) {
    for (const code of codes)
      expect(sayText({ code, params: { move: 'squat' } }, names, language)).not.toMatch(/undefined|\{|,$/)
    for (const unit of ['reps', 'seconds', 'breaths', 'metres', 'goes', 'score'] as const) {
      for (const amount of [1, 2, { from: 1, to: 3 }, { atLeast: 1 }, { most: 9 }])
        expect(doseWords(amount, unit, language)).not.toMatch(/undefined/)
    }
  }
})

it('uses the first language of a device that we support', () => {
  expect(languageOf(['ca-ES', 'es-MX', 'en'])).toBe('es')
  expect(languageOf(['pt'])).toBe('en')
})

it('accepts a run as a device sends it, and nothing that names a child', () => {
  const run: Run = {
    format: 'esfuerzo.run',
    version: 3,
    id: '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d',
    publication: 'a'.repeat(64),
    group: 'g1',
    startedAt: '2026-03-01T10:00:00Z',
    finishedAt: '2026-03-01T10:20:00Z',
    zone: 'Atlantic/Faroe',
    steps: { done: 12, skipped: 1, easier: 0 },
    felt: { scale: 'faces', value: 4 },
    results: [{ block: 'b2', station: 's1', lap: 1, value: 14, unit: 'reps' }],
  }
  expect(runSchema.parse(run)).toEqual(run)
  for (const bad of [
    { name: 'x' },
    { id: '1' },
    { felt: { scale: 'faces', value: 6 } },
    { zone: '<b>' },
    { publication: 'x' },
  ]) {
    expect(runSchema.safeParse({ ...run, ...bad }).success).toBe(false)
  }
  expect([feltScale([0, 1]), feltScale([2, 3]), feltScale([3, 4])]).toEqual(['faces', 'faces', 'ten'])
})
