import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { publish, recordRows, type Lane, type Publication } from '@esfuerzo/core/publication'
import {
  aliasKey,
  aliasKinds,
  aliasSchema,
  bookCells,
  bookColumns,
  boundsOf,
  byAlias,
  codeAlphabet,
  codeCount,
  codeOf,
  goesSoon,
  impossible,
  isForClass,
  keptUntil,
  laneOfClass,
  lastYearToGo,
  looksLikeName,
  monthsLater,
  ownLine,
  per30,
  placeKey,
  proposedAliases,
  readCode,
  readValue,
  unlikely,
  usualYearEnd,
  type BookColumn,
  type BookEntry,
} from '@esfuerzo/core/classBook'
import { seededRandom } from '../src/distribution/seededRandom.ts'
import { demoSessions, demoSession } from '../../server/src/demo/sessions.ts'
import { library } from './sessions.ts'

describe('aliases', () => {
  it('are random: no kind repeats before each came once, no alias twice, none that is taken', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.integer(), (count, seed) => {
        const taken = ['Tern 4', 'tern  5']
        const aliases = proposedAliases(count, taken, seededRandom(seed))
        expect(new Set([...aliases, ...taken].map(aliasKey)).size).toBe(count + 2)
        const kinds = aliases.slice(0, aliasKinds.length).map((alias) => alias.replace(/ \d+$/, ''))
        expect(new Set(kinds).size).toBe(kinds.length)
      }),
    )
  })

  it('are visible, and compared by what is visible', () => {
    for (const unseen of ['', ' ', '\u200b', '\u202e\u2060', '\ufeff', '\u00ad'])
      expect(aliasSchema.safeParse(unseen).success, JSON.stringify(unseen)).toBe(false)
    for (const seen of ['Tern 4', 'Ñandú 7', '👩‍🚀', '燕 3']) expect(aliasSchema.safeParse(seen).success, seen).toBe(true)
    expect(aliasKey('Te\u200brn\u2060 4')).toBe(aliasKey('TERN 4'))
    expect(aliasKey('Tern 4')).not.toBe(aliasKey('Tern 5'))
  })

  it('have numbers that reveal no order', () => {
    // Random numbers rise by chance in half of the pairs; register order would rise in all.
    const numbers = proposedAliases(40, [], seededRandom(7)).map((alias) => Number(/\d+$/.exec(alias)![0]))
    const rising = numbers.slice(1).filter((n, i) => n > numbers[i]!).length
    expect(rising).toBeGreaterThan(10)
    expect(rising).toBeLessThan(29)
  })

  it('are in one order, with numbers by value', () => {
    expect(['Tern 11', 'Tern 4', 'anchor 2'].sort(byAlias)).toEqual(['anchor 2', 'Tern 4', 'Tern 11'])
  })

  it.each([
    ['Ana Prado', true],
    ['Prado, Ana', true],
    ['Ana Lucía Prado de la Vega', true],
    ['Jean-Luc Le Goff', true],
    ["Niamh O'Dowd", true],
    ['A. Prado', true],
    ['Tern 4', false],
    ['Tern', false],
    ['Sea glass', false],
    ['red boat', false],
    ['X2 Y3', false],
  ])('%s looks like a full name: %s', (alias, expected) => expect(looksLikeName(alias)).toBe(expected))
})

describe('codes', () => {
  it('are six of twenty-four characters without look-alikes or vowels, each number a different code', () => {
    expect([codeAlphabet.length, codeCount(6), codeCount(4), new Set(codeAlphabet).size]).toEqual([
      24, 191_102_976, 331_776, 24,
    ])
    // Characters that are misread for one another in print (common practice, no source), and vowels, which could form words.
    const pairs = ['O0', 'I1', 'B8', 'S5', 'Z2', 'G6', 'UV']
    expect(pairs.filter((pair) => [...pair].every((sign) => codeAlphabet.includes(sign)))).toEqual([])
    expect([...'AEIOUY'].filter((vowel) => codeAlphabet.includes(vowel))).toEqual([])
    const codes = new Set(Array.from({ length: 1000 }, (_, i) => codeOf(i * 331, 6)))
    expect(codes.size).toBe(1000)
    expect(codeOf(codeCount(6) - 1, 6)).toBe('999999')
    expect(codeOf(codeCount(4) - 1, 4)).toBe('9999')
  })

  it('are accepted as people type them', () => {
    expect(readCode(' kt-7 m3b')).toBe('KT7M3B')
    // Slips printed earlier have four.
    expect(readCode('kt7m')).toBe('KT7M')
    for (const typed of ['', 'KT7', 'KT7MM', 'KT0M', 'кт7м', 'KT7M3BB', 'KT0M3B'])
      expect(readCode(typed)).toBeUndefined()
  })
})

describe('retention of results', () => {
  it('ends with the school year plus the extra months, on the last day of a short month', () => {
    expect(keptUntil({ yearEnds: '2027-07-31', keepMonths: 0 })).toBe('2027-07-31')
    expect(keptUntil({ yearEnds: '2027-12-31', keepMonths: 2 })).toBe('2028-02-29')
    expect([usualYearEnd('2026-08-01'), usualYearEnd('2026-07-31')]).toEqual(['2027-07-31', '2026-07-31'])
    expect(monthsLater('2028-02-29', -12)).toBe('2027-02-28')
  })

  it('goes year by year for a class that moves up, never too early or too late', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 2026, max: 2040 }),
        fc.integer({ min: 0, max: 24 }),
        fc.integer({ min: 0, max: 4000 }),
        (year, keepMonths, days) => {
          const asked = { yearEnds: `${year}-07-31`, keepMonths }
          const today = new Date(Date.UTC(2026, 0, 1) + days * 86_400_000).toISOString().slice(0, 10)
          const gone = lastYearToGo(asked, today)
          expect(monthsLater(gone, keepMonths) < today).toBe(true)
          const next = monthsLater(gone, 12)
          expect(next > asked.yearEnds || monthsLater(next, keepMonths) >= today).toBe(true)
        },
      ),
    )
  })

  it('is announced a month before, also for the previous year', () => {
    expect(goesSoon({ yearEnds: '2027-07-31', keepMonths: 0 }, '2027-06-30')).toBeUndefined()
    expect(goesSoon({ yearEnds: '2027-07-31', keepMonths: 0 }, '2027-07-01')).toBe('2027-07-31')
    expect(goesSoon({ yearEnds: '2028-07-31', keepMonths: 2 }, '2027-09-15')).toBe('2027-09-30')
  })

  it('is announced before each deletion, however long results are kept', () => {
    for (let keepMonths = 0; keepMonths <= 24; keepMonths++)
      for (let day = 0; day < 366; day++) {
        const asked = { yearEnds: '2029-07-31', keepMonths }
        const at = (days: number) =>
          new Date(Date.UTC(2028, 7, 1) + (day + days) * 86_400_000).toISOString().slice(0, 10)
        // What is deleted between today and tomorrow was in today's notice, with today as its last day.
        if (lastYearToGo(asked, at(0)) !== lastYearToGo(asked, at(1)))
          expect(goesSoon(asked, at(0)), `${keepMonths}`).toBe(at(0))
      }
  })
})

describe('the lane of a class', () => {
  const lanes = [
    { id: 'a', grades: [0, 1] },
    { id: 'b', grades: [2, 3] },
    { id: 'c', grades: [4, 5, 6] },
  ]
  it('is the one that shares most grades, otherwise the nearest', () => {
    expect(laneOfClass(lanes, [1, 2, 3])?.id).toBe('b')
    expect(laneOfClass(lanes.slice(0, 2), [6])?.id).toBe('b')
    expect(laneOfClass([], [1])).toBeUndefined()
    expect([isForClass(lanes, [3]), isForClass(lanes.slice(0, 1), [3])]).toEqual([true, false])
  })
})

/** What is sent home of every demo session, lane by lane. */
const published: [string, Publication, Lane][] = demoSessions.flatMap((session) => {
  const workout = demoSession(session, library)
  const publication = publish(workout, library)
  return publication.lanes.map((lane): [string, Publication, Lane] => [
    `${workout.title} ${lane.letter}`,
    publication,
    lane,
  ])
})

describe('columns', () => {
  it.each(published)('%s: every box of its paper form in order, each with a key of its own', (_, publication, lane) => {
    const columns = bookColumns(publication, lane, 'en')
    const keys = columns.map((c) => c.key)
    expect(new Set(keys).size).toBe(keys.length)
    const form = recordRows(publication, lane, 'en').filter((r) => r.kind !== 'measure')
    const onForm = form.flatMap((row) =>
      Array.from({ length: row.boxes }, (_, i) => `${row.block} ${row.station ?? row.kind} ${i + 1}`),
    )
    const inBook = columns
      .filter((c) => ['station', 'rounds', 'level', 'points'].includes(c.kind))
      .map((c) => `${c.block} ${c.station ?? c.kind} ${c.nth}`)
    expect(inBook.filter((place) => onForm.includes(place))).toEqual(onForm)
    expect(columns.at(-1)!.kind).toBe('felt')
  })

  it('have seconds for timed work, and none for counted work', () => {
    const columns = published.flatMap(([, publication, lane]) => bookColumns(publication, lane, 'en'))
    const timed = columns.filter((c) => c.seconds !== undefined)
    expect(timed.length).toBeGreaterThan(20)
    expect(timed.every((c) => c.kind === 'station' && c.seconds! >= 5 && c.seconds! <= 300)).toBe(true)
  })
})

const reps: BookColumn = {
  what: 'result',
  block: 'b2',
  station: 's1',
  lap: 1,
  key: 'result b2 s1 lap 1',
  kind: 'station',
  name: 'Squat',
  part: 'Circuit',
  unit: 'reps',
  nth: 1,
  of: 2,
  seconds: 30,
}
let n = 0
const entry = (value: number | null, more: Partial<BookEntry> = {}): BookEntry => ({
  what: 'result',
  block: 'b2',
  station: 's1',
  lap: 1,
  id: `e${String(++n).padStart(4, '0')}`,
  pupil: 'p',
  value,
  at: `2026-11-${10 + n}T10:00:00.000Z`,
  source: 'run',
  seconds: 30,
  ...more,
})

describe('values', () => {
  it.each<[string, BookColumn['unit'], object | undefined]>([
    ['12', 'reps', { value: 12 }],
    ['0', 'reps', { value: 0 }],
    ['', 'reps', undefined],
    [' 7 ', 'ten', { value: 7 }],
    ['1,5', 'kg', { value: 1.5 }],
    ['1.25', 'metres', { value: 1.25 }],
    ['−3', 'score', { value: -3 }],
    ['12,5', 'reps', { problem: { code: 'not-whole' } }],
    ['twelve', 'reps', { problem: { code: 'not-a-number' } }],
    ['1e3', 'reps', { problem: { code: 'not-a-number' } }],
    ['=1+1', 'reps', { problem: { code: 'not-a-number' } }],
    ['6', 'faces', { problem: { code: 'too-large', atMost: 5 } }],
    ['0', 'faces', { problem: { code: 'too-small', atLeast: 1 } }],
    ['11', 'ten', { problem: { code: 'too-large', atMost: 10 } }],
    ['20', 'perMinute', { problem: { code: 'too-small', atLeast: 30 } }],
  ])('"%s" in %s', (typed, unit, expected) => expect(readValue(typed, { unit })).toEqual(expected))

  it('are limited to what a child can do in the time', () => {
    expect(boundsOf({ unit: 'reps', seconds: 30 })).toMatchObject({ to: 150 })
    expect(impossible(151, { unit: 'reps', seconds: 30 })).toEqual({ code: 'too-large', atMost: 150 })
    expect(impossible(NaN, { unit: 'reps' })).toEqual({ code: 'not-a-number' })
  })

  it('are questioned if unlikely: against the clock and the child’s own values, never against others’', () => {
    expect(unlikely(100, reps, [])).toMatchObject({ code: 'faster' })
    expect(unlikely(40, reps, [])).toBeUndefined()
    expect(unlikely(40, reps, [11, 12, 10])).toEqual({ code: 'far-from-own', usual: 11 })
    expect(unlikely(1, { unit: 'reps' }, [20, 22])).toEqual({ code: 'far-from-own', usual: 21 })
    expect(unlikely(6, { unit: 'reps' }, [2, 2])).toBeUndefined()
    expect(unlikely(220, { unit: 'perMinute' }, [])).toEqual({ code: 'count-again' })
    expect(unlikely(10, { unit: 'ten' }, [1, 1])).toBeUndefined()
  })

  it('compare per thirty seconds, if work was timed and counted', () => {
    expect(per30(18, reps)).toBe(18)
    expect(per30(18, { unit: 'reps', seconds: 45 })).toBe(12)
    expect(per30(18, { unit: 'reps' })).toBeUndefined()
    expect(per30(18, { unit: 'score', seconds: 45 })).toBeUndefined()
  })
})

describe('cells', () => {
  it('show the latest value, with the child’s own earlier ones in the order they were done', () => {
    const [first, second, third] = [entry(10), entry(11), entry(12)]
    const cell = bookCells([reps], [third, first], [second]).get('p')!.get(reps.key)!
    expect([cell.entry.value, cell.before.map((e) => e.value)]).toEqual([12, [11, 10]])
    expect(ownLine(reps, cell)).toEqual([11, 10, 12])
  })

  it('distinguish a missing value from zero', () => {
    expect(
      bookCells([reps], [entry(0)])
        .get('p')!
        .get(reps.key)!.entry.value,
    ).toBe(0)
    expect(
      bookCells([reps], [entry(null)])
        .get('p')!
        .get(reps.key)!.entry.value,
    ).toBeNull()
    expect(bookCells([reps], []).get('p')).toBeUndefined()
  })

  it('compare laps of different length, but not timed with untimed work', () => {
    const cell = { entry: entry(18, { seconds: 45 }), before: [entry(10)] }
    expect(ownLine(reps, cell)).toEqual([10, 12])
    expect(ownLine(reps, { entry: entry(18), before: [entry(10, { seconds: undefined })] })).toEqual([])
    expect(ownLine(reps, { entry: entry(18), before: [] })).toEqual([])
    expect(ownLine(reps, { entry: entry(18), before: [entry(null)] })).toEqual([])
  })

  it('show the highest rung of a run for a level, and the weight of the station for a weight', () => {
    const level: BookColumn = {
      ...reps,
      what: 'result',
      kind: 'level',
      block: 'b3',
      station: undefined,
      lap: undefined,
      key: 'result b3',
      unit: 'goes',
    }
    const rung = (n: number) =>
      entry(1, { block: 'b3', station: undefined, lap: undefined, rung: n, at: '2026-11-20T10:00:00.000Z' })
    expect(
      bookCells([level], [rung(1), rung(3), rung(2)])
        .get('p')!
        .get('result b3')!.entry.value,
    ).toBe(3)
    const weight: BookColumn = {
      ...reps,
      what: 'weight',
      kind: 'weight',
      lap: undefined,
      key: 'weight b2 s1',
      unit: 'kg',
    }
    expect(
      bookCells([weight], [entry(12, { kg: 1.5 })])
        .get('p')!
        .get(weight.key)!.entry.value,
    ).toBe(1.5)
  })

  it('have the same place for the same thing and another for another', () => {
    expect(placeKey(entry(1))).toBe(reps.key)
    expect(placeKey({ what: 'result', block: 'b2', trial: 2 })).toBe('result b2 trial 2')
  })
})
