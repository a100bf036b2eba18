import highsLoader from 'highs'
import { describe, expect, it } from 'vitest'
import { orderBound } from '../src/arrange/orderBound.ts'
import { orderCost, orderDistance } from '../src/arrange/orderProblem.ts'
import { orderStations } from '../src/arrange/orderStations.ts'
import { sessionSeconds } from '../src/timing/sessionSeconds.ts'
import { findBlock, findStation, reorderStations, setStation, stationsOf, type Session } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { arrange, canArrange, orderFindings } from '@esfuerzo/core/tools'
import { library } from './sessions.ts'
import { samples } from './support/samples.ts'
import { bruteOrder, orderLp, randomOrder } from './support/orderInstances.ts'

const instances = samples(6, 300)

describe('the order of stations', () => {
  it('equals brute force on 300 small random instances, the nearest to the current order among equals', () => {
    for (let seed = 1; seed <= 300; seed++) {
      const problem = randomOrder(seed, 2 + (seed % 6))
      const { order, cost, bound } = orderStations(problem)
      expect({ cost, distance: orderDistance(order) }, `seed ${seed}`).toEqual(bruteOrder(problem))
      expect(bound).toBe(cost)
      expect(orderCost(problem, order)).toBe(cost)
      problem.pinned.forEach((pinned, i) => pinned && expect(order[i]).toBe(i))
    }
  })

  it(`costs the same as a MIP solver package’s on ${instances} larger ones`, async () => {
    const highs = await highsLoader()
    for (let seed = 1; seed <= instances; seed++) {
      const problem = randomOrder(2000 + seed, 8, false)
      const answer = highs.solve(orderLp(problem), { mip_rel_gap: 0 })
      expect(answer.Status).toBe('Optimal')
      expect(orderStations(problem).cost, `seed ${2000 + seed}`).toBe(Math.round(answer.ObjectiveValue))
    }
  })

  it('keeps its pins with more than sixteen stations; without pins it costs at most a third or 2 more than the proven bound', () => {
    for (let seed = 1; seed <= 12; seed++) {
      const problem = randomOrder(3000 + seed, 17 + seed, seed % 3 === 0)
      const { order, cost, bound } = orderStations(problem)
      expect([...order].sort((a, b) => a - b)).toEqual([...problem.before.keys()])
      problem.pinned.forEach((pinned, i) => pinned && expect(order[i]).toBe(i))
      expect(cost).toBe(orderCost(problem, order))
      expect(bound).toBeLessThanOrEqual(cost)
      if (!problem.pinned.some(Boolean)) expect(cost - bound).toBeLessThanOrEqual(Math.max(2, bound / 3))
    }
  })

  it('has bounds that are never above the optimum on exact instances', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const problem = randomOrder(4000 + seed, 9, seed % 2 === 0)
      expect(orderBound(problem), `seed ${4000 + seed}`).toBeLessThanOrEqual(orderStations(problem).cost)
    }
  })
})

describe('arranging a block', () => {
  const typed = (...lines: string[]) => {
    const { workout: session, problems } = parse(['# Order', 'minutes 20; groups 2-3', ...lines].join('\n'), library)
    expect(problems).toEqual([])
    return session
  }
  const blockOf = (session: Session) => session.sections.flatMap((s) => s.blocks).find(canArrange)!.id
  const movesOf = (session: Session, ids: readonly string[]) => ids.map((id) => findStation(session, id).cells.all.move)

  it('gets down to the floor twice a lap instead of three times, and never works a muscle twice in a row', () => {
    const w = typed(
      '## Main part',
      '2 laps 30/15',
      'squat',
      'plank',
      'jumping jack',
      'push-up',
      'high knees',
      'curl-up',
    )
    const { findings, order, better, cost } = arrange(w, blockOf(w), library)
    expect(better).toBe(true)
    expect(findings.before.trips).toBe(3)
    expect(findings.after).toMatchObject({ trips: 2, muscles: 0 })
    expect(cost.after).toBeLessThan(cost.before)
    expect(cost.bound).toBe(cost.after)
    expect([...order].sort()).toEqual([...stationsOf(findBlock(w, blockOf(w))).map((s) => s.id)].sort())
  })

  it('takes what comes before the block into account, and keeps pins', () => {
    const lines = ['## Main part', '3 laps 30/15', 'squat', 'plank', 'jumping jack', 'push-up']
    const w = typed('## Warm-up', 'plank 20 s', ...lines)
    const id = blockOf({ ...w, sections: w.sections.slice(1) })
    const [first] = arrange(w, id, library).order
    // A plank was held just before, so the circuit must not start with another.
    expect(movesOf(w, [first!])).not.toEqual(['plank'])
    const pinned = stationsOf(findBlock(w, id))[1]!.id
    const held = setStation(w, pinned, { pinned: true })
    expect(arrange(held, id, library).order[1]).toBe(pinned)
  })

  it('ignores the aim’s own muscle', () => {
    const w = typed('## Main part', '2 laps 30/15', 'squat', 'lunge', 'wall sit', 'plank')
    const muscle = library.moves.get('squat')!.muscles.main[0]!
    const aimed = { ...w, aim: { ...w.aim, muscle } }
    expect(orderFindings(aimed, blockOf(w), library).muscles).toBeLessThan(
      orderFindings(w, blockOf(w), library).muscles,
    )
  })

  it('reports the seconds saved if nobody waits for a clock, and reorders as one edit', () => {
    const w = typed(
      '## Main part',
      '3 rounds: arm circles 10, curl-up 10, jumping jack 10, push-up 10, high knees 20, hip bridge 10',
    )
    const answer = arrange(w, blockOf(w), library)
    const after = reorderStations(w, answer.block, answer.order)
    expect(sessionSeconds(after, library)).toEqual(answer.seconds.after)
    expect(answer.seconds.after.g1!).toBeLessThan(answer.seconds.before.g1!)
  })

  it('refuses a block without an order of its own', () => {
    const w = typed('## Main part', 'coin', 'heads: squat 10', 'heads: lunge 8', 'tails: plank 10 s')
    const { id } = w.sections[0]!.blocks[0]!
    expect(() => arrange(w, id, library)).toThrow(/invalid/)
    expect(() => reorderStations(w, id, ['s1'])).toThrow(/not-found/)
  })
})
