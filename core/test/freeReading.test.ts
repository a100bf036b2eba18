import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  libraryFor,
  newSession,
  readSession,
  setCell,
  stationsOf,
  timeline,
  valueFor,
  type Session,
} from '@esfuerzo/core'
import {
  applyText,
  choiceKey,
  parse,
  print,
  readText,
  type Answer,
  type Choices,
  type Question,
} from '@esfuerzo/core/notation'
import * as lists from '../src/notation/free/words.en.ts'
import { nameIndex, plainName } from '../src/notation/names.ts'
import { limits } from '../src/base/limits.ts'
import { lettersApart } from '../src/base/nearest.ts'
import type { Country } from '../src/terms/country.ts'
import { sessionArbitrary } from './arbitraries.ts'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'
import { groups, misread, namesRead, printed, read, rows, textsOf } from './support/textsRead.ts'

describe('texts as teachers write them', () => {
  it.each(textsOf('texts'))('%s is read completely: seconds, rows, words kept', (_, text, expected) => {
    expect(misread(text, expected)).toEqual([])
  })
  it.each(textsOf('strangers'))('a stranger’s, %s, is read completely', (_, text, expected) => {
    expect(misread(text, expected)).toEqual([])
  })
})

describe('everyday names of exercises', () => {
  it('are right or asked about, never wrong without a question; the library knows eight of ten', () => {
    const { right, known, wrong } = namesRead()
    expect(wrong).toEqual([])
    expect(right / known).toBeGreaterThan(0.78)
  })
})

describe('misreadings to avoid', () => {
  const only = (text: string) => rows(read(text).workout)
  const cell = (text: string) => only(text)[0]!.cells.all

  it('easier and harder belong to a row, and never become its exercise', () => {
    const [squat] = only('Squats -> easier: sit to box -> harder: jump squats')
    expect(squat).toMatchObject({ easier: 'sit to box', harder: 'jump squats' })
    expect(squat!.cells.all.move).toBe('squat')
    const [burpee] = only('Burpees - easier: no jump, harder: add a press up')
    expect(burpee!.cells.all.move).toBe('burpee')
  })
  it('a face is not a dose', () => {
    expect(read('1 = 10 star jumps\n2 = 5 squats').workout.sections[0]!.blocks[0]).toMatchObject({
      form: 'chance',
      device: 'dice',
    })
    expect(cell('1 = 10 star jumps\n2 = 5 squats').dose).toEqual({ unit: 'reps', amount: 10 })
  })
  it('"Min 1" is not a minimum dose', () => {
    const { workout: session } = read('EMOM 4 min\nMin 1: 10 burpees\nMin 2: 8 squats')
    expect(session.sections[0]!.blocks[0]).toMatchObject({ form: 'intervals' })
    expect(rows(session)[0]!.cells.all.dose).toEqual({ unit: 'reps', amount: 10 })
  })
  it('a table’s number is not a dose; its columns give the meaning', () => {
    const { workout: session } = read(
      '| # | Move | Work | Rest |\n|---|---|---|---|\n| 5 | Skaters | 20 sec | 40 sec |\n| 6 | Squats | 20 sec | 40 sec |',
    )
    expect(session.sections[0]!.blocks[0]).toMatchObject({ laps: { all: [{ work: 20, rest: 40 }] } })
    expect(rows(session).map((s) => s.cells.all.move)).toEqual(['skater-step', 'squat'])
  })
  it('two exercises in a line are two rows', () => {
    expect(only('5 min jog, 10 star jumps').map((s) => s.cells.all.dose)).toEqual([
      { unit: 'seconds', amount: 300 },
      { unit: 'reps', amount: 10 },
    ])
  })
  it.each([
    ['Lunges :30', { unit: 'seconds', amount: 30 }],
    ['10x squats', { unit: 'reps', amount: 10 }],
    ['plank 10', { unit: 'seconds', amount: 10 }],
    ['shuttle run 20 m', { unit: 'metres', amount: 20 }],
  ])('%s', (text, dose) => expect(cell(text).dose).toEqual(dose))
  it('a number before a name is list numbering', () => {
    expect(cell('5- Plank').dose).not.toMatchObject({ amount: 5 })
  })
  it('3 x 10 after a name means sets', () => {
    expect(read('Squats 3 x 10').workout.sections[0]!.blocks[0]).toMatchObject({ form: 'sets', sets: { all: 3 } })
  })
  it('rounds and a rest after rows apply to those rows', () => {
    const [block] = read('Squats 10\nPlank 20 s\n3 rounds').workout.sections[0]!.blocks
    expect(block).toMatchObject({ form: 'rounds', rounds: { all: 3 } })
    const closed = read('Squats 10\nPlank 20 s\n3 rounds\nrest 60s').workout.sections[0]!.blocks
    expect(closed).toMatchObject([{ form: 'rounds', restBetween: { all: 60 } }])
  })
  it('toe taps are asked about', () => {
    const { questions } = read('Ball skills\ntoe taps 20\nball around the waist 10')
    expect(questions.map((q) => q.received)).toContain('toe taps')
  })
  it('a warm-up of five minutes is not a plank', () => {
    const { workout: session } = read('Warm up (5 mins)\nJog\nStar jumps')
    expect(session.sections[0]).toMatchObject({ role: 'warmUp', minutes: 5 })
    expect(rows(session).every((s) => s.cells.all.move !== 'plank')).toBe(true)
  })
  it('facts after a heading with rows apply to what follows', () => {
    const { workout: session } = read(
      'Wed – home PE\n\nWarm up (3 mins): jog, march\n30 on 15 off x 2 rounds\n1. Squats\n2. Plank',
    )
    expect(session.title).toBe('Wed – home PE')
    expect(session.sections.map((s) => [s.role, s.blocks.map((b) => b.form)])).toEqual([
      ['warmUp', ['list']],
      ['main', ['intervals']],
    ])
  })
  it('a mistyped name deletes nothing: it is asked about and stays a row', () => {
    const { workout: session, questions } = read('Squats 10\nPlonkity 20 s\nLunges 8')
    expect(rows(session)).toHaveLength(3)
    expect(questions.map((q) => q.received)).toEqual(['Plonkity'])
  })
  it('an answer given once is remembered', () => {
    const [question] = read('PU 10\nsquats 5').questions
    expect(question?.received).toBe('PU')
    const again = readText('PU 10\nsquats 5', library, { groups, readings: new Map([['pu', 'push-up']]) })
    expect(again.questions).toEqual([])
    expect(rows(again.workout)[0]!.cells.all.move).toBe('push-up')
  })
})

/** Known words: those of the closed lists and of the library's names. */
const understood = new Set(
  [
    ...nameIndex(library).names.keys(),
    ...Object.values(lists)
      .flat(2)
      .flatMap((value) =>
        typeof value === 'string'
          ? [value]
          : value instanceof Set
            ? [...(value as Set<string>)]
            : value instanceof RegExp
              ? []
              : Object.entries(value).flat(2).map(String),
      ),
    'pyramid ladder tabata emom amrap circuit relay every minute interval hold needed possible complete through sides between after about seconds minutes metres breaths counts possible second',
  ].flatMap((text) => plainName(text).split(' ')),
)

/** Free lines of every kind, to be combined at random. */
const freeLine = fc.oneof(
  ...textsOf('texts').map(([, text]) => fc.constantFrom(...text.split('\n').filter((line) => line.trim()))),
)
const freeText = fc.array(freeLine, { minLength: 1, maxLength: 12 }).map((lines) => lines.join('\n'))
/** Letters inserted, deleted, changed; lines without breaks. */
const mutated = fc
  .tuple(
    freeText,
    fc.array(
      fc.tuple(
        fc.nat(400),
        fc.constantFrom('', ' ', 'x', '3', ':', '-', '(', '\n', '½', '💃', '\t', '|', '#', '"', '['),
      ),
      { maxLength: 12 },
    ),
  )
  .map(([text, changes]) =>
    changes.reduce(
      (now, [at, put]) => `${now.slice(0, at % (now.length + 1))}${put}${now.slice((at % (now.length + 1)) + 1)}`,
      text,
    ),
  )

describe('questions about a text’s parts', () => {
  const chosen = (question: Question, as: Answer['as']): Choices =>
    new Map([[choiceKey(question), question.answers.find((a) => a.as === as)!]])
  const plan = 'Squats 10\nLunges 10\nPress ups 5\n\nHops 10\nStar jumps 20\n3 rounds, rest 30 s'
  const forms = (w: Session) => w.sections[0]!.blocks.map((b) => [b.form, stationsOf(b).length])

  it('rounds after rows in two lists apply to all or to the last: asked, with how many rows each means', () => {
    const { workout: session, questions } = read(plan)
    expect(forms(session)).toEqual([['rounds', 5]])
    const [question] = questions.filter((q) => q.kind === 'rounds')
    expect(question).toMatchObject({ line: 7, column: 1, received: '3 rounds, rest 30 s' })
    expect(question!.answers).toEqual([
      { as: 'all', rows: 5 },
      { as: 'last', rows: 2 },
    ])
    const put = (as: 'all' | 'last') => readText(plan, library, { groups, choices: chosen(question!, as) })
    expect(forms(put('all').workout)).toEqual(forms(session))
    expect(forms(put('last').workout)).toEqual([
      ['list', 3],
      ['rounds', 2],
    ])
    for (const as of ['all', 'last'] as const) {
      const { workout: made, questions: left } = put(as)
      expect(left.filter((q) => q.kind === 'rounds')).toEqual([])
      // A chosen answer is printed so that the question does not come again.
      expect(readText(printed(made), library).questions).toEqual([])
    }
  })

  it('rounds are not asked about if there is only one possibility', () => {
    for (const text of ['Squats 10\nLunges 10\n3 rounds', 'Squats 10\n\n## Main\nHops 10\nPlank 20 s\n3 rounds'])
      expect(read(text).questions).toEqual([])
  })

  it('a label of an unknown group is asked about: an existing group, or a new one', () => {
    const session = newSession('Steps', [[0], [1]], 20, library.version)
    const text = 'K: 20 s, Y5: 40 s\nrest 10 s\nSquats\nHops'
    const work = (w: Session) =>
      w.groups.map(({ id }) => {
        const steps = timeline(w, id, libraryFor(w, library))
        return steps.find((s) => s.kind === 'work')!.seconds.typical
      })
    const { questions, workout } = applyText(text, session, library)
    const [question] = questions
    expect(question).toMatchObject({ kind: 'group', line: 1, column: 10, received: 'Y5' })
    expect(question!.answers.map((a) => a.as)).toEqual(['group', 'group', 'newGroup'])
    expect(work(workout)[0]).toBe(20)
    const first = question!.answers[1]!
    const told = applyText(text, session, library, { choices: new Map([[choiceKey(question!), first]]) })
    expect(told.questions).toEqual([])
    expect(work(told.workout)).toEqual([20, 40])
    const more = applyText(text, session, library, { choices: chosen(question!, 'newGroup') })
    expect(more.workout.groups.map((g) => g.grades)).toEqual([[0], [1], [5]])
    expect(work(more.workout).at(-1)).toBe(40)
  })

  it('a table’s value for a group goes to the group it means', () => {
    const session = newSession('Steps', [[0], [1]], 20, library.version)
    const text = '| Move | K | Y5 |\n|---|---|---|\n| Squats | 5 | 20 |\n| Star jumps | 6 | 30 |'.replace(
      'K |',
      'Kinder |',
    )
    const { questions } = applyText(text, session, library)
    const question = questions.find((q) => q.kind === 'group')!
    expect(question.received).toBe('Y5')
    const told = applyText(text, session, library, { choices: new Map([[choiceKey(question), question.answers[1]!]]) })
    const { cells } = rows(told.workout)[0]!
    const [kinder, first] = session.groups
    expect([kinder!, first!].map(({ id }) => valueFor(cells, id).dose?.amount)).toEqual([5, 20])
  })

  it('a text in another language is asked about, and kept as words if its teacher says so', () => {
    const text =
      'Calentamiento con los brazos\nPara cada uno: saltos en el sitio 20\ny una pausa de 30 s entre las vueltas'
    const { questions } = read(text)
    expect(questions).toMatchObject([{ kind: 'language', line: 1, received: 'es' }])
    const words = readText(text, library, { groups, choices: chosen(questions[0]!, 'words') })
    expect(rows(words.workout)).toEqual([])
    expect(words.questions).toEqual([])
    for (const line of text.split('\n')) expect(words.workout.sections[0]!.note).toContain(line)
    expect(readText(text, library, { groups, choices: chosen(questions[0]!, 'read') }).questions).not.toEqual(questions)
    // In a session’s own text no line may swallow others: each is read as it is.
    expect(applyText(text, words.workout, library).questions.map((q) => q.kind)).not.toContain('language')
  })

  it('reports the line of each part, in strangers’ words and in ours', () => {
    const where = (text: string) => {
      const { workout: session, lines } = read(text)
      return session.sections
        .flatMap((s) => [s.id, ...s.blocks.flatMap((b) => [b.id, ...stationsOf(b).map((x) => x.id)])])
        .map((id) => lines.get(id))
    }
    expect(where('Steps\nWarm up (3 mins): jog, star jumps\n\n30 secs on 15 secs off x 2\n1. Squats\n2. Hops')).toEqual(
      [2, 2, 2, 2, undefined, 4, 5, 6],
    )
    expect(where('# Steps\n\n## Main\n3 laps 30/10\nSquat\nHop')).toEqual([3, 4, 5, 6])
    const { lines, workout: session } = applyText('Squats 10\nHops 10', read('Hops 10').workout, library)
    expect(rows(session).map((s) => lines.get(s.id))).toEqual([1, 2])
  })

  it('a name that means two exercises in two countries is the school’s; without a country it is asked', () => {
    const move = (text: string, country?: Country) => {
      const { workout: session, questions } = readText(text, library, { groups, ...(country && { country }) })
      return questions.length ? 'asked' : Object.values(rows(session)[0]!.cells.all).slice(0, 2).join(':')
    }
    expect(move('Star jumps 10')).toBe('asked')
    expect(move('Star jumps 10', 'GB')).toBe('jumping-jack:jumping-jack')
    expect(move('Star jumps 10', 'US')).toBe('jumping-jack:star-jump')
    expect(move('Skipping 20 s', 'IE')).toMatch(/^rope-skip/)
    expect(move('Skipping 20 s', 'CA')).toMatch(/^skip:/)
    // Words that only British teachers use mean the same.
    expect(move('Star jumps 10 secs')).toBe('jumping-jack:jumping-jack')
  })
})

describe('the laws of reading', () => {
  it('is total: any text becomes a valid session, and every question has answers', () => {
    fc.assert(
      fc.property(mutated, (text) => {
        const { workout: session, questions } = read(text)
        readSession(JSON.parse(JSON.stringify(session)))
        for (const question of questions) expect(question.answers.length).toBeGreaterThan(1)
      }),
      { numRuns: samples(120, 10_000) },
    )
  })

  it('gives a session however many parts a text has: the rest goes into the last one', () => {
    const row = 'Wk4\tY2\tWarm up 3m\tStar jumps 20s\tHops 20s\tRest 30s\tx3\tCool down 2m'
    const { workout: session } = read(Array.from({ length: 9 }, () => row).join('\n\n'))
    expect(readSession(JSON.parse(JSON.stringify(session))).sections).toHaveLength(limits.sections)
    expect(rows(session).filter((s) => s.cells.all.move === 'hop')).toHaveLength(9)
  })

  it('prints its result in our notation, which asks nothing more and stays the same', () => {
    fc.assert(
      fc.property(mutated, (text) => {
        const { workout: session } = read(text)
        const once = printed(session)
        const again = readText(once, libraryFor(session, library))
        expect(again.questions.filter((q) => !session.moves?.some(({ move }) => move.name === q.received))).toEqual([])
        expect(printed(again.workout)).toBe(once)
      }),
      { numRuns: samples(15, 1000) },
    )
  })

  it('a line that is only words changes no row, wherever it is', () => {
    const words = 'Remember to breathe out when it gets hard, everybody, and to smile at each other.'
    fc.assert(
      fc.property(fc.constantFrom(...textsOf('texts').map(([, text]) => text)), fc.nat(40), (text, at) => {
        const lines = text.split('\n')
        // In a table it would be one of its rows.
        fc.pre(!/\||\t/.test(text))
        const put = 1 + (at % lines.length)
        const more = read([...lines.slice(0, put), words, ...lines.slice(put)].join('\n')).workout
        const cells = (w: Session) => rows(w).map((s) => s.cells)
        expect(cells(more)).toEqual(cells(read(text).workout))
        expect(printed(more)).toContain('smile at each other')
      }),
      { numRuns: samples(25, 1500) },
    )
  })

  it('our own print is read exactly, and triggers no question', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const text = print(w, library)
        const freely = readText(text, library)
        expect(freely.questions).toEqual([])
        expect(freely.said).toEqual(parse(text, library).said)
        expect(JSON.stringify(freely.workout)).toBe(JSON.stringify(parse(text, library).workout))
      }),
      { numRuns: samples(12, 400) },
    )
  })

  it('loses no word: each is in a name, an amount, a note, a title, or describes how', () => {
    fc.assert(
      fc.property(freeText, (text) => {
        const { workout: session } = read(text)
        const kept = plainName(`${printed(session)} ${JSON.stringify(session)}`)
        const lost = plainName(text)
          .split(' ')
          .filter((w) => /^\p{L}{5,}$/u.test(w) && !kept.includes(w))
        // Known words written differently: words of the closed lists and names of exercises, with a letter mistyped or missing.
        expect(lost.filter((w) => ![...understood].some((known) => lettersApart(w, known, 2) <= 2))).toEqual([])
      }),
      { numRuns: samples(20, 1000) },
    )
  })
})

describe('a text applied to a session', () => {
  const session = parse(
    '# Fog\nminutes 20; groups K-1, 2-3, 4-6; space mat\n\n## Warm-up\nMarch on the spot 30 s\n\n## Main\n3 laps 30/30\nSquat\nPlank\n',
    library,
  ).workout

  it('changes nothing if it is the session’s own text, over every form', () => {
    fc.assert(
      fc.property(sessionArbitrary, (w) => {
        const { workout: session, questions } = applyText(print(w, library), w, library)
        expect(questions).toEqual([])
        expect(JSON.parse(JSON.stringify(session))).toEqual(JSON.parse(JSON.stringify(w)))
      }),
      { numRuns: samples(12, 400) },
    )
  })

  it('keeps the row of a mistyped line, and asks', () => {
    const text = print(session, library).replace('Plank', 'Plonkity')
    const { workout, questions } = applyText(text, session, library)
    expect(questions.map((q) => q.received)).toEqual(['Plonkity'])
    expect(rows(workout)).toHaveLength(3)
    expect(workout.moves?.map(({ move }) => move.name)).toEqual(['Plonkity'])
    // After correction everything is as before, and nothing is left of the word.
    const back = applyText(print(session, library), workout, library).workout
    expect(print(back, library)).toBe(print(session, library))
    expect(back.moves).toBeUndefined()
  })

  it('keeps asking what a word means until it is answered, and then the row is that exercise', () => {
    const text = print(session, library).replace('Plank', 'Plonkity 20 s')
    const unknown = applyText(text, session, library).workout
    const again = applyText(printed(unknown), unknown, library)
    expect(again.questions.map((q) => q.received)).toEqual(['Plonkity'])
    const put = (told: string) =>
      applyText(printed(unknown), unknown, library, { readings: new Map([['plonkity', told]]) })
    const own = put('own')
    expect(own.questions).toEqual([])
    const plank = put('plank')
    expect(plank.questions).toEqual([])
    expect(rows(plank.workout).at(-1)!.cells.all).toMatchObject({ move: 'plank', dose: { amount: 20 } })
    expect(plank.workout.moves).toBeUndefined()
    const note = put('note')
    expect(rows(note.workout)).toHaveLength(2)
    expect(printed(note.workout)).toContain('Plonkity')
  })

  it('uses the session’s own groups for strangers’ words', () => {
    const { workout } = applyText('Y1: 20 s, Y5: 40 s\nSquats\nPlank', session, library)
    expect(workout.groups).toEqual(session.groups)
  })

  it('and edits by hand, in any order, do not undo each other', () => {
    const step = fc.oneof(
      fc.record({ kind: fc.constant('hand' as const), row: fc.nat(9), reps: fc.integer({ min: 1, max: 60 }) }),
      fc.record({
        kind: fc.constant('text' as const),
        row: fc.nat(9),
        line: fc.constantFrom('Lunge 8', 'Zorb 10', 'Curl-up 12'),
      }),
    )
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 8 }), (steps) => {
        let now = session
        const typed: string[] = []
        const changed = new Map<string, number>()
        for (const s of steps) {
          if (s.kind === 'hand') {
            const station = rows(now)[s.row % rows(now).length]!
            changed.set(station.id, s.reps)
            now = setCell(now, station.id, 'all', (cell) => ({ ...cell, dose: { unit: 'reps', amount: s.reps } }))
          } else {
            now = applyText(`${print(now, libraryFor(now, library))}${s.line}\n`, now, library).workout
            typed.push(s.line)
          }
        }
        const text = printed(now)
        expect(rows(now)).toHaveLength(3 + typed.length)
        for (const line of typed) expect(text).toContain(line.split(' ')[0])
        for (const [id, reps] of changed)
          expect(rows(now).find((r) => r.id === id)?.cells.all.dose).toEqual({ unit: 'reps', amount: reps })
      }),
      { numRuns: samples(10, 600) },
    )
  })
})
