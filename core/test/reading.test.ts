import { describe, expect, it } from 'vitest'
import { pathText } from '../src/base/problem.ts'
import { migrate } from '../src/documents/migrate.ts'
import { canonical } from '../src/terms/perGroup.ts'
import {
  cleanText,
  limits,
  mapGroups,
  newSession,
  parseSeconds,
  problemCodes,
  problemText,
  ProblemError,
  readSession,
  readSessionText,
  referenceProblems,
  type Problem,
} from '@esfuerzo/core'
import { library } from './sessions.ts'

const problemsOf = (read: () => unknown): Problem[] => {
  try {
    read()
  } catch (error) {
    if (error instanceof ProblemError) return error.problems
    throw error
  }
  return []
}
const good = () =>
  JSON.parse(
    JSON.stringify(
      newSession(
        'Storm-day springs',
        [
          [0, 1],
          [2, 3],
        ],
        20,
        1,
      ),
    ),
  )

describe('a session file', () => {
  it('with three mistakes of three kinds is refused, naming all three by path', () => {
    const bad = good()
    bad.colour = 'red'
    bad.minutes = 'twenty'
    bad.sections[1].blocks[0].laps.by = { g9: [{ work: 30, rest: 30 }] }
    const problems = problemsOf(() => readSession(bad))
    expect(problems.map((p) => [p.code, pathText(p.path)])).toEqual(
      expect.arrayContaining([
        ['unknown-key', 'colour'],
        ['wrong-type', 'minutes'],
        ['unknown-group', 'sections[1].blocks[0].laps.by.g9'],
      ]),
    )
    expect(problems).toHaveLength(3)
  })

  it.each<[string, (w: ReturnType<typeof good>) => void, string, string]>([
    [
      'a form that is none',
      (w) => (w.sections[0].blocks[0].form = 'party'),
      'not-a-choice',
      'sections[0].blocks[0].form',
    ],
    ['two sections with one id', (w) => (w.sections[1].id = 'p1'), 'duplicate-id', 'sections[1].id'],
    ['two groups with one letter', (w) => (w.groups[1].letter = 'A'), 'duplicate-id', 'groups[1].letter'],
    ['a control character', (w) => (w.title = 'a\u0007b'), 'bad-text', 'title'],
    ['half an emoji', (w) => (w.title = '\ud83d'), 'bad-text', 'title'],
    [
      'no work in a lap',
      (w) => (w.sections[1].blocks[0].laps.all[0].work = 0),
      'too-small',
      'sections[1].blocks[0].laps.all[0].work',
    ],
    [
      'a link that is not https',
      (w) => (w.sections[0].blocks[0].link = 'javascript:alert(1)'),
      'bad-format',
      'sections[0].blocks[0].link',
    ],
    [
      '41 blocks',
      (w) =>
        (w.sections[0].blocks = Array.from({ length: 39 }, (_, i) => ({
          id: `x${i}`,
          form: 'talk',
          seconds: { all: 1 },
        }))),
      'too-many',
      'sections',
    ],
    ['a later version', (w) => (w.version = 99), 'newer-version', 'version'],
  ])('with %s says so', (_, spoil, code, path) => {
    const bad = good()
    spoil(bad)
    expect(problemsOf(() => readSession(bad)).map((p) => [p.code, pathText(p.path)])).toContainEqual([code, path])
  })

  it('that is not JSON, too large, or not a session is refused with one clear problem', () => {
    expect(problemsOf(() => readSessionText('{"a":')).map((p) => p.code)).toEqual(['not-json'])
    expect(problemsOf(() => readSessionText(`"${'ä'.repeat(limits.bytes / 2 + 1)}"`)).map((p) => p.code)).toEqual([
      'too-big',
    ])
    for (const odd of [null, 3, 'x', []]) expect(problemsOf(() => readSession(odd))[0]?.code).toBe('wrong-type')
  })

  it('cannot crash the program by deep nesting', () => {
    let deep: unknown = 1
    for (let i = 0; i < 100_000; i++) deep = { all: deep, by: {} }
    expect(problemsOf(() => readSession({ ...good(), sections: deep })).length).toBeGreaterThan(0)
  })

  it('reports moves and versions that the library does not have', () => {
    const session = newSession('x', [[1]], 20, 1)
    session.sections[0]!.blocks = [
      {
        id: 'b1',
        form: 'list',
        restAfter: { all: 0 },
        stations: [
          { id: 's1', cells: { all: { move: 'moonwalk', version: 'a' } } },
          {
            id: 's2',
            cells: { all: { move: 'squat', version: 'squat' }, by: { g1: { move: 'squat', version: 'huge' } } },
          },
        ],
      },
    ]
    expect(referenceProblems(session, library).map((p) => [p.code, pathText(p.path)])).toEqual([
      ['unknown-move', 'sections[0].blocks[0].stations[0].cells.all.move'],
      ['unknown-version', 'sections[0].blocks[0].stations[1].cells.by.g1.version'],
    ])
  })
})

it('keeps per-group values in one canonical form', () => {
  expect(canonical({ all: { a: 1 }, by: { g1: { a: 1 }, g2: { a: 2 } } })).toEqual({
    all: { a: 1 },
    by: { g2: { a: 2 } },
  })
  expect(mapGroups({ all: 1, by: { g2: 5 } }, 'all', (n) => n + 1)).toEqual({ all: 2, by: { g2: 6 } })
  expect(mapGroups({ all: 1, by: { g2: 5 } }, ['g2'], () => 1)).toEqual({ all: 1 })
  const raw = good()
  raw.sections[0].blocks[0].restAfter = { all: 5, by: { g1: 5 } }
  expect(readSession(raw).sections[0]!.blocks[0]).toMatchObject({ restAfter: { all: 5 } })
})

it('migrates step by step, and leaves unknown versions to the schema', () => {
  const steps = {
    1: (d: Record<string, unknown>) => ({ ...d, b: 2 }),
    2: (d: Record<string, unknown>) => ({ ...d, c: 3 }),
  }
  expect(migrate({ version: 1, a: 1 }, 3, steps)).toEqual({ version: 3, a: 1, b: 2, c: 3 })
  expect(migrate({ version: 3 }, 3, steps)).toEqual({ version: 3 })
  expect(migrate('text', 3, steps)).toBe('text')
  expect(() => migrate({ version: 4 }, 3, steps)).toThrow('newer-version')
})

it('cleans typed text for storage', () => {
  expect(cleanText('a\u0007b\r\nc', 'line')).toBe('ab c')
  expect(cleanText('a\r\nb', 'paragraph')).toBe('a\nb')
  expect(cleanText('e\u0301\ud83d', 'line')).toBe('é')
  expect(cleanText('😀'.repeat(100), 'line').isWellFormed()).toBe(true)
})

it('reads seconds as people type them', () => {
  expect(['90', '1:30', ' 45 s', '2:5', 'x', '1:75', ''].map(parseSeconds)).toEqual([
    90,
    90,
    45,
    125,
    undefined,
    undefined,
    undefined,
  ])
})

it('has a sentence for every problem code, starting with the path', () => {
  for (const code of problemCodes) {
    const sentence = problemText({ code, path: ['sections', 0], received: 'R', expected: { value: 'E' } })
    expect(sentence).toMatch(/^sections\[0\]: \S/)
    expect(sentence).not.toContain('undefined')
  }
})

it('uses singular and plural correctly', () => {
  const said = (atLeast: number, kind: 'entries' | 'classes' | 'characters') =>
    problemText({
      code: 'too-small',
      path: ['x'],
      expected: { atLeast, of: kind },
      received: { count: 0, of: 'entries' },
    })
  expect(said(1, 'entries')).toBe('x: should be at least 1 entry, found a list of 0')
  expect(said(2, 'classes')).toBe('x: should be at least 2 classes, found a list of 0')
  expect(said(1, 'characters')).toContain('at least 1 character,')
})

it('names types in words a teacher knows', () => {
  const bad = { ...good(), title: 7, minutes: 'x', finishTogether: 1, sections: {}, aim: [] }
  const sentences = problemsOf(() => readSession(bad)).map((p) => problemText(p))
  expect(sentences.sort()).toEqual([
    'aim: should be an object with fields, found a list of 0',
    'finishTogether: should be yes or no (true or false), found 1',
    'minutes: should be a number, found "x"',
    'sections: should be a list, found an object',
    'title: should be text, found 7',
  ])
})
