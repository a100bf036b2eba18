import { describe, expect, it } from 'vitest'
import { cellsFor } from '../src/library/cellsFor.ts'
import { newSession, valueFor } from '@esfuerzo/core'
import { improveOrder } from '../src/arrange/improveOrder.ts'
import { clashCost, clashOf, neighbourOf } from '../src/arrange/neighbours.ts'
import { library } from './sessions.ts'
import { randomOrder } from './support/orderInstances.ts'
import { orderCost } from '../src/arrange/orderProblem.ts'

const { groups } = newSession('x', [[4, 5, 6]], 20, library.version)
/** An exercise as grades 4–6 do it. */
const doing = (id: string, load?: number) => {
  const cell = valueFor(cellsFor(library.moves.get(id)!, groups, 'rounds'), 'g1')
  return neighbourOf({ ...cell, ...(load && { load: { kg: load } }) }, library)
}
const clash = (a: string, b: string, aim?: string) => clashOf(doing(a), doing(b), aim)

describe('the reasons against two neighboring stations', () => {
  it('are symmetric', () => {
    const ids = ['squat', 'plank', 'jumping-jack', 'curl-up', 'push-up', 'lunge', 'quad-stretch', 'tuck-jump']
    const known = ids.filter((id) => library.moves.has(id))
    expect(known.length).toBeGreaterThan(6)
    for (const a of known) for (const b of known) expect(clashCost(clash(a, b))).toBe(clashCost(clash(b, a)))
  })

  it('for the same exercise twice include every main muscle and the family, and a second to start again', () => {
    const { muscles, family, seconds, things } = clash('squat', 'squat')
    expect(muscles).toEqual(library.moves.get('squat')!.muscles.main)
    expect([family, seconds, things]).toEqual([true, 1, 0])
    expect(clashCost(clash('squat', 'squat'))).toBe(6 * muscles.length + 1 + 10)
  })

  it('ignore muscles of the aim: they are intended', () => {
    const [aim] = library.moves.get('squat')!.muscles.main
    expect(clash('squat', 'squat', aim).muscles).not.toContain(aim)
    expect(clash('squat', 'lunge', aim).overlaps).not.toContain(aim)
  })

  it('give 4 s down to the floor, 3 to hands and knees; 3 more and a thing for a weight put down', () => {
    expect(clash('squat', 'curl-up').seconds).toBe(4)
    expect(clash('squat', 'push-up').seconds).toBe(3)
    const loaded = clashOf(doing('squat', 2), doing('jumping-jack'))
    expect([loaded.seconds, loaded.things]).toEqual([4, 1])
    // Both use a weight in the hands: nothing is put down.
    expect(clashOf(doing('squat', 2), doing('lunge', 2)).things).toBe(0)
  })

  it('cost the sum of their parts', () => {
    const nothing = { muscles: [], overlaps: [], seconds: 0, things: 0, hardJumps: false, thuds: false, family: false }
    expect(clashCost(nothing)).toBe(0)
    // Doubled: 3 per shared main muscle, 1 per overlap, half per second, 2 per thing, 4 for hard jumps, 2 for two loud ones, 5 for the same
    // family.
    expect(clashCost({ ...nothing, muscles: ['a', 'b'], overlaps: ['c'] })).toBe(14)
    expect(clashCost({ ...nothing, seconds: 7, things: 2 })).toBe(15)
    expect(clashCost({ ...nothing, hardJumps: true, thuds: true, family: true })).toBe(22)
  })
})

describe('the local search', () => {
  it('never worsens an order, moves no pinned station, and is repeatable', () => {
    for (let seed = 1; seed <= 10; seed++) {
      const problem = randomOrder(7000 + seed, 18)
      const now = [...problem.before.keys()]
      const order = improveOrder(problem)
      expect(orderCost(problem, order)).toBeLessThanOrEqual(orderCost(problem, now))
      problem.pinned.forEach((pinned, place) => pinned && expect(order[place]).toBe(place))
      expect(improveOrder(problem)).toEqual(order)
    }
  })

  it('leaves an order unchanged if nothing may move', () => {
    const problem = { ...randomOrder(7100, 17), pinned: Array<boolean>(17).fill(true) }
    expect(improveOrder(problem)).toEqual([...Array(17).keys()])
  })
})
