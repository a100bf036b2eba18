import { readdirSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { describe, expect, it } from 'vitest'
import { sumsFor } from '../src/sums/sums.ts'
import { readSessionText, timeline, totals, type Step, type Session } from '@esfuerzo/core'
import { library, typicalSeconds } from './sessions.ts'
import { plainTimes } from './support/plainTimes.ts'

// The smallest sessions for which a stopwatch and the timing once disagreed.

const folder = join(dirname(fileURLToPath(import.meta.url)), 'fixtures', 'times')
const read = (name: string): Session => readSessionText(readFileSync(join(folder, `${name}.json`), 'utf8'))
const stepsOf = (name: string, group = 'g1'): Step[] => timeline(read(name), group, library)
const stepsIn = (steps: readonly Step[], block: string) => steps.filter((s) => s.block === block)
const total = (steps: readonly Step[]) =>
  (['low', 'typical', 'high'] as const).map((end) => steps.reduce((sum, s) => sum + s.seconds[end], 0))
const totalsOf = (name: string) => {
  const session = read(name)
  return totals(timeline(session, 'g1', library), session.groups[0]!, library)
}
const perRep = (move: string, version: string) =>
  library.moves.get(move)!.versions.find((v) => v.id === version)!.secondsPerRep

// A whole pack has too many orders for the plain computation; its expected total is computed below.
const names = readdirSync(folder).flatMap((file) => (file === 'cards-52.json' ? [] : file.replace(/\.json$/, '')))
it.each(names)('%s: both computations agree', (name) => {
  const session = read(name)
  for (const group of session.groups) {
    const steps = timeline(session, group.id, library)
    const asked = new Set<string>()
    const plain = plainTimes(session, group, library, {
      sums: (block) => sumsFor(block, group, asked).map((sum) => sum.answer),
      last: (block) => stepsIn(steps, block.id).findLast((s) => s.kind === 'work')?.station,
    })
    for (const [id, seconds] of Object.entries(plain.blocks))
      expect([id, ...total(stepsIn(steps, id))]).toEqual([id, ...seconds])
  }
})

describe('a cap', () => {
  it('also stops a quick child that goes on until then', () => {
    expect(total(stepsOf('amrap-low'))).toEqual([300, 300, 300])
    expect(total(stepsIn(stepsOf('rounds-cap-low'), 'b1'))).toEqual([100, 100, 100])
  })

  it('drops the effects of what it cut: the child’s posture, things held, reps', () => {
    // Standing up from the desk takes a second; the bottle for the chops was never picked up.
    const next = stepsIn(stepsOf('cap-stance'), 'b2')
    expect(next[0]).toMatchObject({ kind: 'change', seconds: { typical: 1 } })
    // As many squats as there was time for, not the hundred that were asked for.
    expect(totalsOf('cut-reps').session.reps.squat).toBeCloseTo(10 / perRep('squat', 'squat'), 9)
  })

  it('in a rest keeps the part that was taken', () => {
    expect(stepsIn(stepsOf('cap-rest'), 'b2').map((s) => s.kind)).toEqual(['work'])
  })

  it('has no other limit: as many rounds as fit, however short', () => {
    expect(typicalSeconds(stepsOf('amrap-200'))).toBe(1200)
  })
})

describe('chance', () => {
  it('lasts as long as its tasks together, at their 5 %, 50 % and 95 % points', () => {
    const [low, typical, high] = total(stepsOf('chance-high'))
    // Six draws of 12 s and six tasks of at most 26 s, with at most 4 s to get into position for each.
    expect(high).toBeLessThan(6 * (12 + 26 + 4))
    expect(low! < typical! && typical! < high!).toBe(true)
  })

  it('by the clock ends at the same time for every child', () => {
    expect(total(stepsOf('chance-seconds-low'))).toEqual([300, 300, 300])
  })

  it('of a whole pack asks for every card once: nothing is left to chance', () => {
    const [low, typical, high] = total(stepsOf('cards-52'))
    expect([low, high]).toEqual([typical, typical])
    // 1 to 9 and four tens of each suit, 8 s per card, a second to get into position for all but the first of a session.
    const seconds = ['squat', 'march', 'jumping-jack', 'high-knees'].map((move) => {
      const each = perRep(move, library.moves.get(move)!.standard)
      return [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 10, 10, 10].reduce((sum, n) => sum + Math.floor(n * each + 0.5 + 1e-9), 0)
    })
    expect(typical).toBe(seconds.reduce((a, b) => a + b, 52 * 8 + 51))
  })

  it('of a toss takes the exercises of a column in turn, and has three rounds by default', () => {
    const moves = (name: string) => new Set(stepsOf(name).flatMap((s) => (s.kind === 'work' ? s.move! : [])))
    expect([...moves('toss-4')].sort()).toEqual(['high-knees', 'jumping-jack', 'march', 'squat'])
    expect(stepsOf('toss-cleared-4').filter((s) => s.say.code === 'chance.draw')).toHaveLength(3)
  })
})

describe('things and places', () => {
  it('a bottle that is pressed is the load: it is picked up once', () => {
    expect(total(stepsOf('load-is-kit'))).toEqual(total(stepsOf('no-load')))
  })

  it('nobody travels between the two sides of an exercise', () => {
    expect(typicalSeconds(stepsOf('travel-sides'))).toBe(30 + 10 + 30 + 10)
  })

  it('a lying child gets up to travel, and down again', () => {
    const between = stepsOf('travel-lying').slice(2, 5)
    expect(between.map((s) => [s.say.code, s.seconds.typical])).toEqual([
      ['standUp', 4],
      ['travel', 7],
      ['changeTo', 4],
    ])
  })

  it('a talk covers a change-over as a rest does', () => {
    expect(typicalSeconds(stepsOf('rest-talk'))).toBe(typicalSeconds(stepsOf('rest')) + 5)
  })
})

describe('counting', () => {
  it('all of the stations to pick from is the whole circuit', () => {
    expect(total(stepsOf('pick-all'))).toEqual(total(stepsOf('no-pick')))
  })

  it('while the child chooses, a rest announces the choice', () => {
    const rests = stepsOf('pick-next').filter((s) => s.kind === 'rest')
    expect(rests.slice(0, -1).map((s) => s.say)).toEqual([
      { code: 'intervals.pickNext', params: { n: 2, of: 2 } },
      { code: 'intervals.pickNext', params: { n: 1, of: 2 } },
      { code: 'intervals.pickNext', params: { n: 2, of: 2 } },
    ])
  })

  it('slow reps by the clock are half as many', () => {
    const reps = (name: string) => totalsOf(name).session.reps['squat-jump']!
    expect(reps('slow-clocked')).toBeCloseTo(reps('led-clocked') / 2, 9)
    expect(totalsOf('slow-clocked').session.landings).toBeCloseTo(totalsOf('led-clocked').session.landings / 2, 9)
  })

  it('a measure is not an activity', () => {
    const { session } = totalsOf('measure-active')
    expect([session.active, session.work, session.measure]).toEqual([0, 0, 110])
  })

  it('seven of something without reps are seven seconds, rather than goes', () => {
    const work = stepsOf('plank-reps').filter((s) => s.kind === 'work')
    expect(work.map((s) => [s.move, s.by, s.say.params.amount, s.say.params.unit])).toEqual([
      ['plank', 'clock', 7, 'seconds'],
      ['plank', 'clock', 7, 'seconds'],
      ['treasure-run', 'clock', 7, 'seconds'],
    ])
  })

  it('halves are rounded up, whatever floats give', () => {
    const hundredths = Math.round(perRep('treasure-run', 'treasure-hop') * 100)
    // 60 % of three sets, at the pace of kindergarten: exactly a half.
    const hundredThousandths = 18 * hundredths * 125
    expect(hundredThousandths % 100_000).toBe(50_000)
    const work = stepsOf('rounding').find((s) => s.kind === 'work')!
    expect(work.seconds.typical).toBe((hundredThousandths + 50_000) / 100_000)
  })
})

describe('sums', () => {
  it('stay in each group’s own range, also with shared answers', () => {
    const answers = (group: string) =>
      stepsOf('sums-same', group).flatMap((s) => (s.kind === 'work' ? s.say.params.amount : []))
    expect([answers('g1'), answers('g2')]).toEqual([
      [3, 3],
      [20, 20],
    ])
  })

  it('never repeat in a session', () => {
    const asked = stepsOf('sums-two-blocks').flatMap((s) => (s.say.code === 'sums.sum' ? s.say.params.text : []))
    expect(asked).toHaveLength(6)
    expect(new Set(asked).size).toBe(6)
  })
})
