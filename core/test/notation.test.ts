import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { strip } from '../src/notation/strip.ts'
import { findStation, libraryFor, setCell, setStation, stationsOf, timeline, type Session } from '@esfuerzo/core'
import { apply, parse, print } from '@esfuerzo/core/notation'
import { sessionArbitrary } from './arbitraries.ts'
import { library, typicalSeconds } from './sessions.ts'
import { samples } from './support/samples.ts'

/** A session with generated exercises of its own: their ids are assigned in order of appearance. */
const byName = ({ moves, ...w }: Session, { moves: named = moves }: Pick<Session, 'moves'> = {}): unknown =>
  JSON.parse(
    (named ?? []).reduce(
      (text, { move }) => text.replaceAll(`"${move.id}"`, JSON.stringify(`own: ${move.name}`)),
      JSON.stringify(w),
    ),
  )
const plain = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

describe('the laws of the notation, over every form', () => {
  it('parse(print(w)) is strip(w)', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const text = print(w, library)
        const { workout: session, problems } = parse(text, library)
        expect(problems).toEqual([])
        expect(plain(session)).toEqual(plain(strip(w, library)))
      }),
      { numRuns: samples(12, 400) },
    )
  })

  it('apply(print(w), w) is w', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const applied = apply(print(w, library), w, library)
        expect(applied.problems).toEqual([])
        expect(plain(applied.workout)).toEqual(plain(w))
      }),
      { numRuns: samples(12, 400) },
    )
  })

  it('print(parse(t)) is stable', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const once = print(parse(print(w, library), library).workout, library)
        expect(print(parse(once, library).workout, library)).toBe(once)
      }),
      { numRuns: samples(12, 400) },
    )
  })
})

/** A session as in the handbook, with things that a whiteboard text cannot say. */
const storm = `# Storm-day springs
minutes 22; groups K-1, 2-3, 4-6; space mat; quiet

## Warm-up
march on the spot 30 s
arm circles 10
2x 30 s: jumping jack, mountain climber, side hop

## Springs (main)
3 laps 30/30 [2-3: 30/25] [4-6: 40/25], lap rest 60
pogo jump
squat jump [K-1: frog jump] [4-6: tuck jump]
one-leg stand each side

## Game (keep, surprise)
toss 5, 3 rounds: star jump | frog jump

## Cool-down
hold 20 s [K-1: 10 s]
quad stretch each side
butterfly
`
const read = (text: string) => {
  const { workout: session, problems } = parse(text, library)
  expect(problems).toEqual([])
  return session
}
const rows = (w: Session) => w.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
const whole = (w: Session, group: string) => typicalSeconds(timeline(w, group, library))

describe('a whiteboard', () => {
  it('is read as a teacher means it', () => {
    const w = read(storm)
    expect([w.title, w.minutes, w.home.quiet, w.groups.map((g) => g.name)]).toEqual([
      'Storm-day springs',
      22,
      true,
      ['K–1', '2–3', '4–6'],
    ])
    expect(w.sections.map((s) => s.role)).toEqual(['warmUp', 'main', 'game', 'coolDown'])
    expect(w.sections.flatMap((s) => s.blocks).map((b) => b.form)).toEqual([
      'list',
      'rounds',
      'intervals',
      'chance',
      'list',
    ])
    const jump = rows(w).find((s) => s.cells.all.move === 'squat-jump')!
    // K–1 does the frog, which is its default anyway; 4–6 the tuck.
    expect(jump.cells).toEqual({
      all: { move: 'squat-jump', version: 'squat-jump' },
      by: { g1: { move: 'squat-jump', version: 'frog' }, g3: { move: 'squat-jump', version: 'tuck-jump' } },
    })
    // Three laps of three stations: 9 × 60 − 30 + 2 × 30 more for the rests between laps …
    const main = w.sections[1]!
    expect(['g1', 'g2', 'g3'].map((g) => whole({ ...w, sections: [main] }, g))).toEqual([
      9 * 60 + 2 * 30,
      9 * 55 + 2 * 35,
      9 * 65 + 2 * 35,
    ])
  })

  it.each<[string, string]>([
    ['3x10 squat, rest 60', '3 sets, rest 60 s, rest between moves 0 s\nSquat 10'],
    ['3 × 10 squats', '3 sets, rest 0 s, rest between moves 0 s\nSquat 10'],
    ['2x squat 10, press-ups 5, rest 1:30', '2 rounds, rest 90 s\nSquat 10\nPush-up 5'],
    ['20/10 ×8 high knees', '8 laps 20/10\nHigh knees'],
    ['20/10 x8 of pogo jump', '8 laps 20/10\nPogo jump'],
    ['8x20/10: squat, lunge', '8 laps 20/10\nSquat\nLunge'],
    ['3 rounds of 40/20: squat, plank', '3 laps 40/20\nSquat\nPlank'],
    ['30/30, 60/45, 60/30\njumping jacks', '30/30, 60/45, 60/30\nJumping jack'],
    ['amrap 10: squat 10, lunges 10 e.s.', 'amrap 10 min\nSquat 10\nLunge 20'],
    ['ladder 10-20 by 5: squat', 'ladder 10-20, by 5\nSquat'],
    [
      'coin: squat 10, plank 20″ | star jump 5, crabs 10',
      'coin\nheads: Squat 10\nheads: Plank 20 s\ntails: Star jump 5\ntails: Crab walk 10',
    ],
    ['1) squat 12\n2) plank 30 sec', 'Squat 12\nPlank 30 s'],
    ['• Squat – 12\n• Plank – 30″', 'Squat 12\nPlank 30 s'],
    ['squat max 20; slow; 2 kg', 'Squat max 20; 2 kg; slow'],
    ['squat or lunge 10', 'Squat 10; or Lunge'],
    ['push-up 8; lap 2: knee push-up 6', 'Push-up 8; lap 2: Knee push-up 6'],
    ['sums 5-12, add and subtract: squat, star jump', 'sums 5-12, add and subtract\nSquat\nStar jump'],
    ['measure sit & reach before', 'measure sit and reach before, 1 trial'],
  ])('“%s” is understood', (text, printed) => {
    const w = read(`groups 4-6\n## Main part\n${text}`)
    expect(print(w, library).split('## Main part\n')[1]!.trim()).toBe(printed)
  })

  it('reports what it cannot read with line and column, suggests similar names, and keeps the rest', () => {
    const { workout: session, problems } = parse(
      '# T\n## Main part\nsquat 10\nplnak 30 s\n3 laps 30/30 [9-9: 20/20], lap wrest 60\nlunge',
      library,
    )
    expect(problems.map((p) => [p.line, p.column, p.received, p.expected])).toEqual([
      [4, 1, 'plnak 30 s', { oneOf: ['Plank'] }],
      [5, 15, '9-9', undefined],
      [5, 28, 'lap wrest 60', undefined],
    ])
    expect(rows(session).map((s) => s.cells.all.move)).toEqual(['squat', 'lunge'])
  })

  it('needs no headings: a list of exercises becomes a main section', () => {
    const w = read('squats 10\nplank 30 s\njumping jacks')
    expect([w.sections.length, rows(w).length]).toEqual([1, 3])
  })
})

describe('while typing', () => {
  const start = () => {
    let w = read(storm)
    w = setStation(w, 's6', { pinned: true, focus: 'Land like a cat', record: 'reps' })
    return {
      ...w,
      aim: { ...w.aim, words: [{ word: 'land', meaning: 'come down' }] },
      home: { ...w.home, kit: ['chair'] },
      sections: w.sections.map((s) => ({
        ...s,
        blocks: s.blocks.map((b) => ({ ...b, link: 'https://film.example/x' })),
      })),
    } as Session
  }
  it('pins, notes, equipment, words and links of untouched rows stay, wherever a line is inserted', () => {
    const w = start()
    const lines = print(w, library).split('\n')
    for (let at = 4; at < lines.length; at++) {
      const text = [...lines.slice(0, at), 'hip bridge 12', ...lines.slice(at)].join('\n')
      const next = apply(text, w, library).workout
      expect([next.aim.words, next.home.kit]).toEqual([w.aim.words, w.home.kit])
      for (const station of rows(w)) expect(findStation(next, station.id)).toEqual(station)
      expect(rows(next)).toHaveLength(rows(w).length + (lines.slice(0, at).some((l) => l.startsWith('## ')) ? 1 : 0))
      const links = next.sections.flatMap((s) => s.blocks).filter((b) => b.link).length
      expect(links).toBe(w.sections.flatMap((s) => s.blocks).length)
    }
  })

  it('a changed line changes its station and no other', () => {
    const w = start()
    const text = print(w, library).replace('[4-6: Tuck jump]', '[4-6: Squat to tiptoes]')
    const next = apply(text, w, library).workout
    const jump = rows(w).find((s) => s.cells.all.move === 'squat-jump')!
    expect(next).toEqual(setCell(w, jump.id, ['g3'], (cell) => ({ ...cell, version: 'rise' })))
  })

  it('adding or removing a group affects no other', () => {
    const w = start()
    const fewer = apply(
      print(w, library).replace('groups K-1, 2-3, 4-6', 'groups K-1, 4-6').replace(' [2-3: 30/25]', ''),
      w,
      library,
    )
    expect(fewer.problems).toEqual([])
    expect(fewer.workout.groups.map((g) => g.id)).toEqual(['g1', 'g3'])
    for (const id of ['g1', 'g3']) expect(whole(fewer.workout, id)).toBe(whole(w, id))
  })
})

it('a section’s title that fills its line keeps its marks', () => {
  const title = `${'a'.repeat(113)} (b) c)`
  const { workout: session, problems } = parse(`# x\n## ${title} (main)\nsquat`, library)
  expect(problems).toEqual([])
  expect(session.sections[0]).toMatchObject({ title, role: 'main' })
  expect(plain(parse(print(session, library), library).workout)).toEqual(plain(session))
})

it('thousands of mutated texts never crash, never hang, and never make an invalid session', () => {
  const bits = [
    '[',
    ']',
    ':',
    ';',
    ',',
    '"',
    '#',
    '## ',
    '> ',
    '|',
    '3x',
    '30/30',
    'lap 2:',
    'or ',
    'hold ',
    ' x',
    '\n',
    '\u0000',
    '👍',
    '9'.repeat(9),
    ' '.repeat(40),
    'coin: ',
    '(main)',
    'amrap ',
    '·',
    'squat ',
    '[K-1: ',
  ]
  const texts10 = samples(20, 1000)
  let texts = 0
  fc.assert(
    fc.property(
      sessionArbitrary,
      fc.array(fc.tuple(fc.nat({ max: 3 }), fc.nat(), fc.constantFrom(...bits)), { minLength: 10, maxLength: 10 }),
      (w, changes) => {
        // Some consecutive lines of a session: mistakes happen within a line or between two.
        const lines = print(w, library).split('\n')
        const from = changes[0]![1] % lines.length
        let text = lines.slice(from, from + 20).join('\n')
        for (const [kind, where, bit] of changes) {
          const at = where % (text.length + 1)
          const to = Math.min(text.length, at + 1 + (where % 12))
          text =
            kind === 0
              ? text.slice(0, at) + text.slice(to)
              : kind === 1
                ? text.slice(0, at) + bit + text.slice(to)
                : text.slice(0, at) + bit + text.slice(at)
          texts++
          const { workout: session, problems } = parse(text, library)
          for (const p of problems) expect(p.column).toBeGreaterThan(0)
          if (texts % 5) continue
          // A session that was read behaves like any other: printed and read again it is the same.
          const again = parse(print(session, library), library)
          expect(again.problems).toEqual([])
          expect(byName(again.workout)).toEqual(byName(strip(session, libraryFor(session, library)), session))
        }
      },
    ),
    // Each text is long: reporting the first failure is enough.
    { numRuns: texts10, endOnFailure: true },
  )
  expect(texts).toBe(texts10 * 10)
  // The limit is only there to catch a hang.
}, 1_800_000)

it('a line with a hundred pieces and as many open brackets is read to its end', () => {
  const one = 'squat jump [K-1: frog jump] 10 reps; slow; 2 kg, '
  const { problems } = parse(
    `## Main part\n${one.repeat(100)}\n${'['.repeat(100)}${' , ;'.repeat(100)}\nlunge`,
    library,
  )
  expect(problems.map((p) => p.line)).toContain(3)
})
