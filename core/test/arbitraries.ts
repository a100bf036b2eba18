import fc from 'fast-check'
import { laneLetters } from '../src/terms/group.ts'
import {
  deviceFaces,
  newSession,
  readSession,
  type Amount,
  type Block,
  type Cell,
  type Dose,
  type Face,
  type Group,
  type PerGroup,
  type Station,
  type Session,
} from '@esfuerzo/core'
import { library } from './sessions.ts'

const moves = [...library.moves.values()]

/** Realistic text: accents, emoji, joiners, right-to-left, combining marks. */
export const lineArbitrary = fc
  .string({ unit: 'grapheme', maxLength: 24 })
  .map((s) => s.normalize('NFC'))
  // The schema refuses control characters; another test checks that.
  .filter((s) => !/[\u0000-\u001f\u007f-\u009f\u2028\u2029]/.test(s) && s.length <= 120)

const count = fc.integer({ min: 1, max: 60 })
export const amountArbitrary: fc.Arbitrary<Amount> = fc.oneof(
  count,
  fc.tuple(count, count).map(([from, more]) => ({ from, to: from + more })),
  count.map((atLeast) => ({ atLeast })),
  count.map((most) => ({ most })),
)

export const cellArbitrary: fc.Arbitrary<Cell> = fc.constantFrom(...moves).chain((move) =>
  fc.record(
    {
      move: fc.constant(move.id),
      version: fc.constantFrom(...move.versions.map((v) => v.id)),
      dose: fc.record({
        unit: fc.constantFrom<Dose['unit']>('reps', 'seconds', 'breaths', 'goes', 'metres'),
        amount: amountArbitrary,
      }),
      load: fc.record({ kg: fc.integer({ min: 0, max: 20 }) }),
      tempo: fc.constantFrom('slow', 'led', 'own'),
      oneOf: fc.uniqueArray(fc.constantFrom(...moves.map((m) => m.id)), { minLength: 1, maxLength: 2 }),
      fromLap: fc
        .uniqueArray(fc.integer({ min: 2, max: 6 }), { minLength: 1, maxLength: 2 })
        .map((laps) => laps.sort((a, b) => a - b))
        .chain((laps) =>
          fc.tuple(
            ...laps.map((lap) =>
              fc.record(
                {
                  lap: fc.constant(lap),
                  version: fc.constantFrom(...move.versions.map((v) => v.id)),
                  dose: fc.record({ unit: fc.constantFrom<Dose['unit']>('reps', 'seconds'), amount: amountArbitrary }),
                  load: fc.record({ kg: fc.integer({ min: 0, max: 20 }) }),
                },
                { requiredKeys: ['lap'] },
              ),
            ),
          ),
        ),
    },
    { requiredKeys: ['move', 'version'] },
  ),
)

const perGroup = <T>(value: fc.Arbitrary<T>, groups: readonly Group[]): fc.Arbitrary<PerGroup<T>> =>
  fc
    .record({
      all: value,
      own: fc.array(fc.tuple(fc.constantFrom(...groups.map((g) => g.id)), value), { maxLength: 3 }),
    })
    .map(({ all, own }) => (own.length ? { all, by: Object.fromEntries(own) } : { all }))

const paragraph = fc.array(lineArbitrary, { maxLength: 3 }).map((lines) => lines.join('\n'))

const stationArbitrary = (groups: readonly Group[]): fc.Arbitrary<Omit<Station, 'id'>> =>
  fc.record(
    {
      cells: perGroup(cellArbitrary, groups),
      pinned: fc.boolean(),
      storyName: lineArbitrary,
      focus: lineArbitrary,
      note: paragraph,
      easier: lineArbitrary,
      harder: lineArbitrary,
      record: fc.constant('reps' as const),
    },
    { requiredKeys: ['cells'] },
  )

const seconds = fc.integer({ min: 0, max: 90 })
const stretch = fc.integer({ min: 1, max: 90 })
const few = fc.integer({ min: 1, max: 4 })
const seed = fc.nat({ max: 1000 })
const lap = fc.record({ work: stretch, rest: seconds })

type Unnumbered = Record<string, unknown> & { stations?: Omit<Station, 'id'>[] }

const question = fc
  .record({
    ask: lineArbitrary.filter((t) => t.length > 0),
    answers: fc.array(
      lineArbitrary.filter((t) => t.length > 0),
      { minLength: 2, maxLength: 4 },
    ),
    why: lineArbitrary,
  })
  .chain((q) => fc.nat({ max: q.answers.length - 1 }).map((right) => ({ ...q, right })))

/** A block of every form, each with every field it can have. */
const formsOf = (groups: readonly Group[]): { [F in Block['form']]: fc.Arbitrary<Unnumbered> } => {
  const stations = fc.array(stationArbitrary(groups), { maxLength: 4 })
  const per = <T>(value: fc.Arbitrary<T>) => perGroup(value, groups)
  const travel = fc.record({ how: lineArbitrary, seconds: per(stretch) })
  const betweenLaps = fc.constantFrom('pulse' as const, 'hold' as const)
  const faced = (faces: readonly string[]) =>
    fc.array(
      fc
        .tuple(stationArbitrary(groups), fc.constantFrom(undefined, ...faces))
        .map(([s, face]) => ({ ...s, ...(face && { face: face as Face }) })),
      { maxLength: 4 },
    )
  return {
    talk: fc.record({ form: fc.constant('talk'), seconds: per(seconds) }),
    list: fc.record(
      { form: fc.constant('list'), stations, restAfter: per(seconds), travel },
      { requiredKeys: ['form', 'stations', 'restAfter'] },
    ),
    intervals: fc.record(
      {
        form: fc.constant('intervals'),
        stations,
        laps: per(fc.array(lap, { minLength: 1, maxLength: 4 })),
        lapRest: per(seconds),
        lastRest: fc.boolean(),
        sideSlots: fc.constantFrom(1 as const, 2 as const),
        pick: per(few),
        travel,
        betweenLaps,
      },
      { requiredKeys: ['form', 'stations', 'laps'] },
    ),
    rounds: fc.record(
      {
        form: fc.constant('rounds'),
        stations,
        rounds: per(few),
        restBetween: per(seconds),
        restStations: per(seconds),
        cap: per(fc.integer({ min: 1, max: 900 })),
        travel,
        betweenLaps,
      },
      { requiredKeys: ['form', 'stations', 'rounds', 'restBetween', 'restStations'] },
    ),
    sets: fc.record({
      form: fc.constant('sets'),
      stations,
      sets: per(few),
      restBetween: per(seconds),
      restStations: per(seconds),
    }),
    amrap: fc.record(
      { form: fc.constant('amrap'), stations, cap: per(fc.integer({ min: 1, max: 900 })), travel },
      { requiredKeys: ['form', 'stations', 'cap'] },
    ),
    ladder: fc.record(
      {
        form: fc.constant('ladder'),
        stations,
        unit: fc.constantFrom('reps', 'seconds'),
        from: per(fc.integer({ min: 1, max: 12 })),
        to: per(fc.integer({ min: 1, max: 12 })),
        by: few,
        shape: fc.constantFrom('up', 'down', 'upDown'),
        rungs: per(fc.array(fc.integer({ min: 1, max: 30 }), { minLength: 1, maxLength: 5 })),
        restBetween: per(seconds),
      },
      { requiredKeys: ['form', 'stations', 'unit', 'from', 'to', 'by', 'shape', 'restBetween'] },
    ),
    chance: fc.constantFrom('coin' as const, 'cards' as const, 'dice' as const, 'toss' as const).chain((device) =>
      fc.record({
        form: fc.constant('chance'),
        device: fc.constant(device),
        stations: faced(deviceFaces[device]),
        stop: fc.oneof(
          fc.constant({ kind: 'cleared' }),
          fc.record({ kind: fc.constant('seconds'), seconds: fc.integer({ min: 1, max: 600 }) }),
          fc.record({ kind: fc.constant('draws'), draws: fc.integer({ min: 1, max: 12 }) }),
        ),
        turns: fc.constantFrom('together', 'oneByOne'),
        seed,
      }),
    ),
    calls: fc.record({
      form: fc.constant('calls'),
      stations,
      every: per(fc.integer({ min: 2, max: 30 })),
      seconds: per(fc.integer({ min: 1, max: 300 })),
      seed,
    }),
    sums: fc.record(
      {
        form: fc.constant('sums'),
        stations,
        operations: fc.uniqueArray(
          fc.constantFrom('add', 'subtract', 'missing', 'double', 'times', 'divide', 'twoSteps'),
          { minLength: 1, maxLength: 3 },
        ),
        range: per(
          fc
            .tuple(fc.integer({ min: 1, max: 20 }), fc.nat({ max: 20 }))
            .map(([from, more]) => ({ from, to: from + more })),
        ),
        unit: fc.constantFrom('reps', 'seconds'),
        same: fc.boolean(),
        seed,
      },
      { requiredKeys: ['form', 'stations', 'range', 'unit', 'same', 'seed'] },
    ),
    relay: fc.record({
      form: fc.constant('relay'),
      stations,
      rounds: per(few),
      change: per(fc.integer({ min: 0, max: 60 })),
    }),
    levels: fc.record({
      form: fc.constant('levels'),
      stations,
      from: per(few),
      to: per(few),
      seconds: per(stretch),
      bonus: fc.boolean(),
    }),
    target: fc.record({
      form: fc.constant('target'),
      targets: fc.array(fc.record({ metres: fc.integer({ min: 1, max: 20 }).map((n) => n / 2), points: few }), {
        minLength: 1,
        maxLength: 4,
      }),
      throws: per(few),
      rounds: per(few),
    }),
    game: fc.record(
      {
        form: fc.constant('game'),
        setUp: paragraph,
        rules: paragraph,
        players: few,
        harder: fc.array(lineArbitrary, { maxLength: 3 }),
        seconds: per(fc.integer({ min: 1, max: 600 })),
        onMiss: per(cellArbitrary),
      },
      { requiredKeys: ['form', 'setUp', 'rules', 'players', 'harder', 'seconds'] },
    ),
    measure: fc.record({
      form: fc.constant('measure'),
      test: fc.constantFrom('pulse', 'sitAndReach', 'hold', 'reps30'),
      trials: per(few),
      moment: fc.constantFrom('before', 'after', 'alone'),
    }),
    quiz: fc.record({ form: fc.constant('quiz'), questions: fc.array(question, { maxLength: 3 }) }),
  }
}

const blockArbitrary = (groups: readonly Group[]): fc.Arbitrary<Unnumbered> =>
  fc
    .tuple(
      fc.oneof(...Object.values(formsOf(groups))),
      fc.record(
        { title: lineArbitrary, note: paragraph, link: fc.constant('https://film.example/a') },
        { requiredKeys: [] },
      ),
    )
    .map(([block, words]) => ({ ...words, ...block }))

/** Any valid session, small enough to check quickly, with every form and all their fields. */
export const sessionArbitrary: fc.Arbitrary<Session> = fc
  .array(fc.uniqueArray(fc.integer({ min: 0, max: 6 }), { minLength: 1, maxLength: 3 }), { minLength: 1, maxLength: 6 })
  .chain((grades) => {
    const base = newSession('x', grades, 20, library.version)
    const sections = fc.array(
      fc.record(
        {
          role: fc.constantFrom(
            'warmUp' as const,
            'main' as const,
            'game' as const,
            'coolDown' as const,
            'brief' as const,
          ),
          title: lineArbitrary,
          minutes: fc.integer({ min: 1, max: 40 }),
          keep: fc.boolean(),
          surprise: fc.boolean(),
          note: paragraph,
          blocks: fc.array(blockArbitrary(base.groups), { maxLength: 3 }),
        },
        { requiredKeys: ['role', 'title', 'blocks'] },
      ),
      { maxLength: 4 },
    )
    return fc
      .record({ title: lineArbitrary.filter((t) => t.length > 0), target: lineArbitrary, sections })
      .map((made) => {
        let n = 0
        const id = (prefix: string) => `${prefix}${++n}`
        return readSession({
          ...base,
          title: made.title,
          groups: base.groups.map((g, i) => ({ ...g, letter: laneLetters[i] })),
          aim: { ...base.aim, target: made.target },
          sections: made.sections.map((s) => ({
            ...s,
            id: id('p'),
            blocks: s.blocks.map((b) => ({
              ...b,
              id: id('b'),
              ...(b.stations && { stations: b.stations.map((x) => ({ ...x, id: id('s') })) }),
            })) as unknown as Block[],
          })),
        })
      })
  })
