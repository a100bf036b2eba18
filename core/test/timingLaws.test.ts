import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { timeline, type Block, type BlockOf, type Dose, type Session } from '@esfuerzo/core'
import { sessionArbitrary } from './arbitraries.ts'
import { library, sessionOf, station, typicalSeconds } from './sessions.ts'
import { samples } from './support/samples.ts'

const ends = ['low', 'typical', 'high'] as const
const total = (session: Session, group = session.groups[0]!.id) => {
  const steps = timeline(session, group, library)
  return ends.map((end) => steps.reduce((sum, s) => sum + s.seconds[end], 0))
}

describe('in any session', () => {
  it('a group’s time does not depend on the other groups', () => {
    fc.assert(
      fc.property(sessionArbitrary, (session) => {
        for (const group of session.groups)
          expect(timeline({ ...session, groups: [group] }, group.id, library)).toEqual(
            timeline(session, group.id, library),
          )
      }),
      { numRuns: samples(25, 300) },
    )
  })

  it('steps are end to end, and a quick child is never slower, a slow one never quicker than the usual', () => {
    fc.assert(
      fc.property(sessionArbitrary, (session) => {
        for (const group of session.groups) {
          let at = 0
          for (const step of timeline(session, group.id, library)) {
            expect(step.at).toBe(at)
            expect(step.seconds.low <= step.seconds.typical && step.seconds.typical <= step.seconds.high).toBe(true)
            expect(Object.values(step.seconds).every((n) => Number.isInteger(n) && n >= 0)).toBe(true)
            at += step.seconds.typical
          }
        }
      }),
      { numRuns: samples(25, 300) },
    )
  })
})

describe('more never takes less time', () => {
  const moves = fc.constantFrom(...[...library.moves.values()])
  const rows = fc.array(
    fc.tuple(
      moves,
      fc.constantFrom<Dose['unit']>('reps', 'seconds', 'breaths', 'goes'),
      fc.integer({ min: 1, max: 40 }),
    ),
    { minLength: 1, maxLength: 4 },
  )
  const grades = fc.constantFrom<number[]>([0], [1, 2], [2, 4, 6], [5])
  const made = (doses: readonly (readonly [{ id: string; standard: string }, Dose['unit'], number])[], more = 0) =>
    doses.map(([move, unit, amount], i) => ({
      ...station(move.id, move.standard, { dose: { unit, amount: amount + more } }),
      id: `s${i}`,
    }))
  const small = fc.integer({ min: 0, max: 30 })

  it('for dose, rest, rounds and under a cap', () => {
    fc.assert(
      fc.property(
        rows,
        grades,
        small,
        small,
        fc.integer({ min: 1, max: 4 }),
        fc.option(fc.integer({ min: 5, max: 400 })),
        (doses, g, rest, between, rounds, cap) => {
          const seconds = (more: { dose?: number; rest?: number; between?: number; rounds?: number; cap?: number }) => {
            const block: BlockOf<'rounds'> = {
              id: 'b1',
              form: 'rounds',
              stations: made(doses, more.dose),
              rounds: { all: rounds + (more.rounds ?? 0) },
              restStations: { all: rest + (more.rest ?? 0) },
              restBetween: { all: between + (more.between ?? 0) },
              ...(cap !== null && { cap: { all: cap + (more.cap ?? 0) } }),
            }
            return total(sessionOf([block], [g]))
          }
          const now = seconds({})
          for (const more of [{ dose: 1 }, { rest: 1 }, { between: 5 }, { rounds: 1 }, { cap: 7 }])
            // Each step is rounded separately: if a rest covers more, the rounding may differ by a second.
            for (const [i, n] of seconds(more).entries())
              expect(n + ('rest' in more || 'between' in more ? doses.length * rounds : 0)).toBeGreaterThanOrEqual(
                now[i]!,
              )
        },
      ),
      { numRuns: samples(60, 1000) },
    )
  })
})

describe('hostile sizes', () => {
  const many = Array.from({ length: 200 }, (_, i) => ({ ...station('jumping-jack', 'jumping-jack'), id: `s${i}` }))
  it.each<[string, Block]>([
    [
      'an hour of one-second rounds',
      {
        id: 'b1',
        form: 'amrap',
        cap: { all: 3600 },
        stations: [
          { ...many[0]!, cells: { all: { move: 'squat', version: 'squat', dose: { unit: 'seconds', amount: 1 } } } },
        ],
      },
    ],
    [
      'a sheet of two hundred rows',
      {
        id: 'b1',
        form: 'chance',
        device: 'coin',
        stations: many,
        stop: { kind: 'cleared' },
        turns: 'together',
        seed: 1,
      },
    ],
    [
      'two hundred draws of a die',
      {
        id: 'b1',
        form: 'chance',
        device: 'dice',
        stations: many,
        stop: { kind: 'draws', draws: 200 },
        turns: 'together',
        seed: 1,
      },
    ],
    [
      'two hundred cards',
      {
        id: 'b1',
        form: 'chance',
        device: 'cards',
        stations: many,
        stop: { kind: 'draws', draws: 200 },
        turns: 'together',
        seed: 1,
      },
    ],
    [
      'thirty laps of two hundred stations',
      {
        id: 'b1',
        form: 'intervals',
        stations: many,
        laps: { all: Array.from({ length: 30 }, () => ({ work: 3600, rest: 3600 })) },
      },
    ],
  ])('%s have an end', (_, block) => {
    const steps = timeline(sessionOf([block]), 'g1', library)
    expect(steps.length).toBeGreaterThan(0)
    expect(Number.isSafeInteger(typicalSeconds(steps))).toBe(true)
  })
})
