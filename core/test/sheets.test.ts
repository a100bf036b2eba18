import { describe, expect, it } from 'vitest'
import { careText, newSession, partTitle, setBlock, type BlockOf, type Session } from '@esfuerzo/core'
import { fixWords } from '@esfuerzo/core/checks'
import { parse } from '@esfuerzo/core/notation'
import { publish, recordRows, sheetRows } from '@esfuerzo/core/publication'
import { courseOf, doneAs, makeEasier, startRun, choose, type PlayerState } from '@esfuerzo/core/run'
import { library, sessionOf, station } from './sessions.ts'

const session: Session = sessionOf([
  {
    id: 'b1',
    form: 'intervals',
    laps: {
      all: [
        { work: 30, rest: 30 },
        { work: 60, rest: 45 },
      ],
    },
    stations: [{ ...station('squat-jump', 'squat-jump'), record: 'reps' }, station('one-leg-stand', 'one-leg-stand')],
  },
  {
    id: 'b2',
    form: 'sets',
    sets: { all: 3 },
    restBetween: { all: 30 },
    restStations: { all: 0 },
    stations: [
      {
        ...station('squat', 'squat', { dose: { unit: 'reps', amount: 10 }, load: { kg: 1 } }),
        note: 'Back to the sofa',
        easier: 'sit down each time',
      },
    ],
  },
  {
    id: 'b3',
    form: 'game',
    setUp: 'Socks on the floor.',
    players: 2,
    rules: 'Fetch them.',
    harder: ['On one leg'],
    onMiss: { all: { move: 'march', version: 'march', dose: { unit: 'reps', amount: 4 } } },
    seconds: { all: 60 },
  },
])
const sent = publish(session, { ...library, words: { es: { Squat: 'Sentadilla', 'Squat jump': 'Salto' } } })
const lane = sent.lanes[0]!

describe('the rows of a sheet', () => {
  const [section] = sheetRows(sent, lane, 'en')
  const [laps, sets, game] = section!.blocks

  it('have the teacher’s own words for a station, if any', () => {
    expect(sets!.rows[0]).toMatchObject({ note: 'Back to the sofa', easier: 'sit down each time' })
    expect(Object.keys(laps!.rows[0]!)).not.toContain('note')
  })

  it('have one box per lap or set, the pace lap by lap if laps differ, doses, sides, weights and records', () => {
    expect(laps!.pace).toEqual([
      { work: 30, rest: 30 },
      { work: 60, rest: 45 },
    ])
    expect(laps!.rows.map((r) => [r.name, r.boxes, r.eachSide, r.record])).toEqual([
      ['Squat jump', 2, false, 'reps'],
      ['One-leg stand', 2, true, undefined],
    ])
    expect(sets!.rows[0]).toMatchObject({ name: 'Squat', dose: '10 times', boxes: 3, kg: 1 })
    expect([sets!.times, sets!.pace]).toEqual([3, []])
  })

  it('show the block’s work and rest, unless rows take different times', () => {
    const paceOf = (text: string) => {
      const { groups } = newSession('x', [[4, 5, 6]], 20, library.version)
      const publication = publish(parse(`# Fog\n## Main\n${text}`, library, groups).workout, library)
      return sheetRows(publication, publication.lanes[0]!, 'en')[0]!.blocks[0]!.pace
    }
    expect(paceOf('2 laps 30/15, pick 2\nsquat\nlunge\nplank')).toEqual([{ work: 30, rest: 15 }])
    expect(paceOf('2 laps 30/0, pick 2\nsquat\nlunge\nplank')).toEqual([{ work: 30, rest: 0 }])
    expect(paceOf('2 laps 31/15\none-leg stand\nsquat')).toEqual([{ work: 31, rest: 15 }])
    expect(paceOf('2 laps 30/15, a turn each side\none-leg stand\nsquat')).toEqual([{ work: 30, rest: 15 }])
    expect(paceOf('3 rounds, rest 30 s\nplank 20 s\nwall sit 40 s')).toEqual([])
    expect(paceOf('3 rounds, rest 30 s\nplank 20 s\nplank 40 s')).toEqual([])
  })

  it('show a game’s words and the task after a miss, without repeated cues', () => {
    expect(game!.lines).toEqual(['Socks on the floor.', 'Fetch them.', '+ On one leg'])
    expect(game!.rows[0]).toMatchObject({ dose: '4 times', boxes: 1 })
    for (const row of section!.blocks.flatMap((b) => b.rows)) expect(new Set(row.cues).size).toBe(row.cues.length)
  })

  it('use the requested language, and leave the teacher’s words unchanged', () => {
    const spanish = sheetRows(sent, lane, 'es')
    expect(spanish[0]!.blocks[1]!.rows[0]).toMatchObject({ name: 'Sentadilla', dose: '10 veces' })
    expect(spanish[0]!.blocks[2]!.lines[0]).toBe('Socks on the floor.')
    expect(spanish[0]!.title).toBe('Parte principal')
  })
})

it('care texts exist in every language, and an unknown code gives nothing', () => {
  expect(careText('water', 'es')).toBe('Ten agua cerca.')
  expect(careText('moonlight', 'en')).toBe('')
  expect(partTitle({ role: 'warmUp', title: 'Warm-up' }, 'es')).toBe('Calentamiento')
  expect(partTitle({ role: 'warmUp', title: 'Waking the crabs' }, 'es')).toBe('Waking the crabs')
})

it('our words in an imported or fixed plan are Spanish on a Spanish page; her own words stay', () => {
  const text = [
    ...['# Fog', 'groups 4-6', '## WARM UP', 'march on the spot 2 min', '## Gannets (main)', 'squat 10', 'lunge 8'],
    ...['## cool down', 'slow breaths 4 breaths'],
  ].join('\n')
  const { workout: read } = parse(text, library)
  const own = read.sections[1]!.blocks[0] as BlockOf<'list'>
  const [squat, lunge] = own.stations
  const stations = [
    { ...squat!, note: fixWords.en.pickUp },
    { ...lunge!, note: 'Mind the cat' },
  ]
  const published = publish(
    setBlock(read, own.id, 'list', (b) => ({ ...b, stations })),
    library,
  )
  const sections = sheetRows(published, published.lanes[0]!, 'es')
  expect(sections.map((s) => s.title)).toEqual(['Calentamiento', 'Gannets', 'Vuelta a la calma'])
  expect(sections[1]!.blocks[0]!.rows.map((r) => r.note)).toEqual([fixWords.es.pickUp, 'Mind the cat'])
  expect(sheetRows(published, published.lanes[0]!, 'en')[0]!.title).toBe('WARM UP')
})

describe('what is done at a step', () => {
  const course = courseOf(sent, [lane.id])
  const track = course.lanes[0]!
  const moves = new Map(sent.moves.map((m) => [m.id, m]))
  const doing = (state: PlayerState) => doneAs(moves, track, state.lanes[0]!, track.steps[0])!

  it('is what the session says, until it is made easier, one version at a time, down to the easiest', () => {
    let state = startRun(course, 0)
    expect(doing(state)).toMatchObject({ version: { id: 'squat-jump' }, changed: false, easiest: false })
    state = makeEasier(state, course, 0)
    expect(doing(state)).toMatchObject({ version: { id: 'frog' }, changed: true })
    for (let i = 0; i < 5; i++) state = makeEasier(state, course, 0)
    expect(doing(state)).toMatchObject({ version: { id: 'rise' }, changed: true, easiest: true })
  })

  it('is another exercise if the child chose one, in the version its lane is ready for', () => {
    const picky = sessionOf([
      {
        id: 'b1',
        form: 'intervals',
        laps: { all: [{ work: 30, rest: 30 }] },
        stations: [station('squat', 'squat', { oneOf: ['squat-jump'] })],
      },
    ])
    const publication = publish(picky, library)
    const one = courseOf(publication, ['g1'])
    const chosen = choose(startRun(one, 0), one, 0, 'squat-jump')
    const all = new Map(publication.moves.map((m) => [m.id, m]))
    const done = doneAs(all, one.lanes[0]!, chosen.lanes[0]!, one.lanes[0]!.steps[0])!
    expect([done.move.id, done.version.id]).toEqual(['squat-jump', publication.lanes[0]!.choices['squat-jump']])
  })
})

describe('rows left open by chance, a cap or a choice', () => {
  const one = (text: string) => {
    const { workout: session, problems } = parse(`# On paper\nminutes 20; groups 4-6\n## Main part\n${text}`, library)
    expect(problems).toEqual([])
    const publication = publish(session, library)
    return {
      publication,
      lane: publication.lanes[0]!,
      block: sheetRows(publication, publication.lanes[0]!, 'en')[0]!.blocks[0]!,
    }
  }

  it('appear once each, with the face that calls them, in table order, whatever the draw’s number', () => {
    const { block } = one('coin\nheads: squat 10\nheads: plank 20 s\ntails: jumping jack 20\ntails: lunge 8')
    expect(block.times).toBe(1)
    expect(block.chance).toEqual({ device: 'coin', stop: { kind: 'cleared' } })
    expect(block.rows.map((r) => [r.face, r.name, r.dose, r.boxes])).toEqual([
      ['heads', 'Squat', '10 times', 1],
      ['heads', 'Plank', '20 seconds', 1],
      ['tails', 'Jumping jack', '20 times', 1],
      ['tails', 'Lunge', '8 times', 1],
    ])
  })

  it('have no number of their own if the card or the toss gives it', () => {
    const cards = one('cards, 20 draws\nclubs: squat\ndiamonds: curl-up\nhearts: jumping jack\nspades: plank')
    expect(cards.block.rows.map((r) => [r.face, r.dose, r.boxes])).toEqual([
      ['clubs', '', 1],
      ['diamonds', '', 1],
      ['hearts', '', 1],
      ['spades', '', 1],
    ])
    expect(cards.block).toMatchObject({ times: 1, chance: { device: 'cards', stop: { kind: 'draws', most: 20 } } })
    const toss = one('toss 5, 4 rounds: jumping jack | squat')
    expect(toss.block.rows.map((r) => [r.face, r.dose])).toEqual([
      ['left', ''],
      ['right', ''],
    ])
    expect(toss.block.times).toBe(1)
  })

  it('are as many rounds as fit, not what a usual child does; a cap is shown', () => {
    const { block, publication, lane } = one('as many rounds as you can in 8 min: squat 10, push-up 5')
    expect(block).toMatchObject({ times: 1, cap: { seconds: 480, asMany: true } })
    expect(block.rows.map((r) => r.boxes)).toEqual([1, 1])
    expect(recordRows(publication, lane, 'en')).toMatchObject([{ kind: 'rounds', boxes: 1 }])
    expect(one('3 rounds, cap 12 min: squat 10').block).toMatchObject({
      times: 3,
      cap: { seconds: 720, asMany: false },
    })
  })

  it('show a sum if a sum gives the number, and reveal no answer', () => {
    const { block } = one('sums 5-12: squat, march')
    for (const row of block.rows) expect(row.dose).toMatch(/[+−×÷?].*: do that many/)
    expect(block.lines).toEqual([])
  })

  it('have a box for everything the session asks to be written down', () => {
    const { publication, lane } = one(
      'target 1 m = 1 and 2 m = 2, 5 throws, 3 rounds\n\n### Reach\nmeasure sit and reach before, 2 trials\n\n### Legs\nsquat 10',
    )
    expect(recordRows(publication, lane, 'en').map((r) => [r.kind, r.boxes])).toEqual([
      ['points', 3],
      ['measure', 2],
    ])
  })
})

it('a test is printed as a child does it: set-up, steps, the practice try, what ends it, what to watch', () => {
  const text = '# Fog\n## Main\nsquat 5\nmeasure sit and reach after, set-up step, 2 trials\n'
  const publication = publish(parse(text, library).workout, library)
  const [lane] = publication.lanes
  const linesIn = (language: 'en' | 'es') =>
    sheetRows(publication, lane!, language)
      .flatMap((s) => s.blocks)
      .flatMap((b) => b.lines)
  expect(linesIn('en')).toEqual([
    'Sit and reach',
    'Sit with your soles flat against a step or a box that can’t slide. 15 cm of the ruler lie before your feet.',
    'Shoes off. Knees straight and flat.',
    'Reach forward slowly with both hands, one on top of the other. Hold for two breaths.',
    'Somebody reads the mark at your fingertips, to half a centimeter.',
    'One slow reach that doesn’t count.',
    'Stop when: The stretch hurts, or a knee lifts twice.',
    'Never push somebody forward. Slow reaches farther than fast.',
  ])
  expect(recordRows(publication, lane!, 'en')).toMatchObject([{ kind: 'measure', unit: 'score', boxes: 2 }])
  expect(publication.kit.map((k) => k.id)).toContain('tape-measure')
})
