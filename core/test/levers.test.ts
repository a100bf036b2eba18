import { describe, expect, it } from 'vitest'
import { findBlock, type Block, type Form, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { applyFit, type FitChange } from '@esfuerzo/core/tools'
import { leversOf } from '../src/fit/levers.ts'
import { settingsOf, turnedFor, variantsOf, withoutStations } from '../src/fit/settings.ts'
import { library } from './sessions.ts'

const typed = (...lines: string[]): Session => {
  const { workout: session, problems } = parse(['groups K-1, 4-6', '## Main part', ...lines].join('\n'), library)
  expect(problems).toEqual([])
  return session
}
const blockOf = (...lines: string[]): Block => typed(...lines).sections[0]!.blocks[0]!
const all = ['g1', 'g2']

/** Every form that has levers, as typed: each lever's current value, a step shorter, a step longer. */
const forms: [form: Form, lines: string[], levers: [kind: string, now: number, shorter?: number, longer?: number][]][] =
  [
    ['talk', ['talk 60 s'], [['talk', 60, 45, undefined]]],
    ['list', ['rest 20 s', 'squat 10', 'lunge 8'], [['rest', 20, 15, 25]]],
    [
      'intervals',
      ['3 laps 30/20, lap rest 60', 'squat', 'lunge'],
      [
        ['laps', 3, 2, 4],
        ['work', 30, 25, 35],
        ['rest', 20, 15, 25],
        ['roundRest', 60, 45, 75],
      ],
    ],
    [
      'rounds',
      ['3 rounds, rest 60 s, cap 8 min: squat 10, lunge 8'],
      [
        ['laps', 3, 2, 4],
        ['rest', 0, undefined, 5],
        ['roundRest', 60, 45, 75],
        ['cap', 480, 420, 540],
      ],
    ],
    [
      'sets',
      ['3x10 squat, rest 30 s'],
      [
        ['laps', 3, 2, 4],
        ['rest', 30, 25, 35],
        ['roundRest', 0, undefined, 15],
      ],
    ],
    ['amrap', ['amrap 5: squat 10, lunge 8'], [['cap', 300, 240, 360]]],
    [
      'ladder',
      ['ladder 2-10 by 2: squat'],
      [
        ['laps', 10, 8, 12],
        ['roundRest', 0, undefined, 15],
      ],
    ],
    ['calls', ['calls every 6 s for 3 min', 'squat', 'lunge'], [['cap', 180, 120, 240]]],
    ['game', ['game 4 min'], [['game', 240, 180, 300]]],
  ]

describe('the levers of each form', () => {
  it.each(forms)('%s', (form, lines, wanted) => {
    const block = blockOf(...lines)
    expect(block.form).toBe(form)
    const levers = leversOf(block)
    expect(levers.map((l) => l.kind)).toEqual(wanted.map(([kind]) => kind))
    const found = levers.map((lever) => {
      const stands = (steps: number) => {
        const turned = lever.turn(block, 'all', steps)
        return turned && lever.read(turned, 'g1')
      }
      return [lever.kind, lever.read(block, 'g1'), stands(-1), stands(1)]
    })
    expect(found).toEqual(wanted.map(([kind, now, shorter, longer]) => [kind, now, shorter, longer]))
  })

  it.each(forms)('%s: a turn for one group affects no other, and is undone by copying', (_, lines) => {
    const block = blockOf(...lines)
    for (const lever of leversOf(block)) {
      const turned = lever.turn(block, ['g2'], -1) ?? lever.turn(block, ['g2'], 1)
      if (!turned) continue
      expect(lever.read(turned, 'g1')).toBe(lever.read(block, 'g1'))
      expect(lever.read(turned, 'g2')).not.toBe(lever.read(block, 'g2'))
      expect(lever.copy(turned, 'g2', block)).toEqual(block)
    }
  })

  it('a ladder goes up to a height of twenty rungs and no higher', () => {
    const top = (from: string) => {
      const block = blockOf(`ladder ${from}: squat`)
      const turned = leversOf(block)[0]!.turn(block, 'all', 1)
      return turned && turned.form === 'ladder' ? turned.to.all : undefined
    }
    expect([top('1-19'), top('1-20')]).toEqual([20, undefined])
  })

  it('chance changes its stopping condition, for everybody or nobody', () => {
    const draws = blockOf('coin, 6 flips', 'heads: squat 10', 'tails: lunge 8')
    const [lever] = leversOf(draws)
    expect(lever).toMatchObject({ kind: 'draws', whole: true })
    expect(lever!.read(lever!.turn(draws, ['g1'], -1)!, 'g2')).toBe(5)
    expect(lever!.turn(draws, 'all', -5)).toBeUndefined()
    const time = blockOf('coin, for 5 min', 'heads: squat 10', 'tails: lunge 8')
    expect(leversOf(time).map((l) => [l.kind, l.read(l.turn(time, 'all', -1)!, 'g1')])).toEqual([['cap', 240]])
    expect(leversOf(blockOf('coin', 'heads: squat 10', 'tails: lunge 8'))).toEqual([])
  })

  it('forms without a set length have none', () => {
    expect(leversOf(blockOf('measure sit and reach before'))).toEqual([])
  })

  it('stay sensible: no slot under 15 s, no cap under two minutes, at least one lap', () => {
    const circuit = blockOf('1 laps 15/0', 'squat', 'lunge')
    expect(leversOf(circuit).map((l) => l.turn(circuit, 'all', -1))).toEqual([
      undefined,
      undefined,
      undefined,
      undefined,
    ])
    const amrap = blockOf('amrap 2: squat 10')
    expect(leversOf(amrap)[0]!.turn(amrap, 'all', -1)).toBeUndefined()
    const ladder = blockOf('ladder 1-20: squat')
    expect(leversOf(ladder)[0]!.turn(ladder, 'all', 1)).toBeUndefined()
  })

  it('added laps equal the last; removed ones come from the end', () => {
    const block = blockOf('30/30, 60/45, 60/30', 'squat', 'lunge')
    const [laps] = leversOf(block)
    const lapsAt = (steps: number) => (laps!.turn(block, 'all', steps) as { laps: { all: unknown } }).laps.all
    expect(lapsAt(1)).toEqual([
      { work: 30, rest: 30 },
      { work: 60, rest: 45 },
      { work: 60, rest: 30 },
      { work: 60, rest: 30 },
    ])
    expect(lapsAt(-2)).toEqual([{ work: 30, rest: 30 }])
  })
})

describe('whole settings', () => {
  const block = blockOf('4 laps 40/30, lap rest 60', 'squat', 'lunge', 'plank')
  const foundBy = (most: number, direction: 'shorter' | 'longer' | 'either', barred: string[] = []) =>
    settingsOf(block, most, direction, new Set(barred), all, false, 2)

  it('cost at most the limit, cheapest first, and never both shorten and lengthen', () => {
    const list = foundBy(9, 'either')
    expect(list[0]).toEqual({ steps: [0, 0, 0, 0], cost: 0 })
    const costs = list.map((s) => s.cost)
    expect(costs).toEqual([...costs].sort((a, b) => a - b))
    expect(Math.max(...costs)).toBeLessThanOrEqual(9)
    for (const { steps, cost } of list) {
      expect(steps.some((n) => n < 0) && steps.some((n) => n > 0)).toBe(false)
      expect(cost).toBe(
        4 * Math.abs(steps[0]!) + 2 * Math.abs(steps[1]!) + Math.abs(steps[2]!) + 3 * Math.abs(steps[3]!),
      )
    }
    expect(new Set(list.map((s) => s.steps.join())).size).toBe(list.length)
  })

  it('turn no barred lever, and none in the wrong direction', () => {
    expect(foundBy(9, 'shorter', [`${block.id}:laps`]).every((s) => s.steps[0] === 0)).toBe(true)
    expect(foundBy(9, 'longer').every((s) => s.steps.every((n) => n >= 0))).toBe(true)
    expect(foundBy(0, 'either')).toHaveLength(1)
  })

  it('of one group leave levers of the whole block alone', () => {
    const coin = blockOf('coin, 6 flips', 'heads: squat 10', 'tails: lunge 8')
    expect(settingsOf(coin, 9, 'shorter', new Set(), ['g1'], true, 2)).toEqual([])
    expect(settingsOf(coin, 9, 'shorter', new Set(), all, false, 2).length).toBeGreaterThan(1)
  })

  it('are applied lever by lever, or not at all', () => {
    const turned = turnedFor(block, 'all', { steps: [-1, -1, 0, -2] })!
    expect(leversOf(turned).map((l) => l.read(turned, 'g1'))).toEqual([3, 35, 30, 30])
    expect(turnedFor(block, 'all', { steps: [-4, 0, 0, 0] })).toBeUndefined()
  })
})

describe('stations left out', () => {
  const withOptional = (n: number): Block => {
    const made = blockOf('2 laps 30/30', 'squat', 'lunge', 'plank')
    return {
      ...made,
      stations: (made as { stations: object[] }).stations.map((s, i) => ({ ...s, optional: i < n })),
    } as Block
  }

  it('are every choice of the optional ones, except leaving none', () => {
    expect(
      variantsOf(withOptional(2), 100, new Set())
        .map((v) => v.out.length)
        .sort(),
    ).toEqual([0, 1, 1, 2])
    expect(variantsOf(withOptional(3), 100, new Set()).map((v) => v.out.length)).not.toContain(3)
    expect(variantsOf(withOptional(3), 6, new Set()).every((v) => v.out.length <= 1)).toBe(true)
    const block = withOptional(1)
    const { out } = variantsOf(block, 100, new Set()).find((v) => v.out.length)!
    expect(variantsOf(block, 100, new Set([`${block.id}:out:${out[0]}`]))).toHaveLength(1)
    expect(withoutStations(block, out)).toMatchObject({ stations: [{}, {}] })
    expect(variantsOf(blockOf('talk 30 s'), 100, new Set())).toEqual([{ out: [], cost: 0 }])
  })
})

describe('accepting some of the changes', () => {
  const w = typed('3 laps 30/30', 'squat', 'lunge')
  const { id } = w.sections[0]!.blocks[0]!
  const change = (more: Partial<FitChange>): FitChange => ({
    block: id,
    lever: 'rest',
    scope: 'all',
    steps: -1,
    from: {},
    to: {},
    ...more,
  })
  const restsOf = (session: Session) => {
    const block = findBlock(session, id)
    return all.map((g) => leversOf(block)[2]!.read(block, g))
  }

  it('a group’s own change replaces that of all, and can be left out alone', () => {
    const shared = change({})
    const own = change({ scope: 'g1', steps: -3 })
    expect(restsOf(applyFit(w, [shared, own]))).toEqual([15, 25])
    expect(restsOf(applyFit(w, [shared]))).toEqual([25, 25])
    expect(restsOf(applyFit(w, [own]))).toEqual([15, 30])
    expect(restsOf(applyFit(w, [shared, change({ scope: 'g1', lever: 'stay', steps: 0 })]))).toEqual([30, 25])
    expect(applyFit(w, [])).toEqual(w)
  })

  it('a block that was removed is named', () => {
    expect(() => applyFit(w, [change({ block: 'b99' })])).toThrow(/not-found/)
  })
})
