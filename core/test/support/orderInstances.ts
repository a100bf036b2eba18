import { orderCost, orderDistance, type OrderProblem } from '../../src/arrange/orderProblem.ts'
import { seededRandom } from '../../src/distribution/seededRandom.ts'

/** Random neighbors, symmetric; some stations are pinned. */
export function randomOrder(seed: number, n: number, pins = true): OrderProblem {
  const random = seededRandom(seed)
  const upTo = (k: number) => Math.floor(random() * k)
  const costs = Array.from({ length: n }, () => Array<number>(n).fill(0))
  for (let i = 0; i < n; i++) for (let j = 0; j < i; j++) costs[i]![j] = costs[j]![i] = upTo(9)
  return {
    costs,
    before: Array.from({ length: n }, () => upTo(6)),
    cycle: seed % 2 === 0,
    pinned: Array.from({ length: n }, () => pins && random() < 0.2),
  }
}

/** Every order that leaves the pinned stations in place. */
function* orders({ pinned }: OrderProblem): Generator<number[]> {
  const free = [...pinned.keys()].filter((i) => !pinned[i])
  function* permute(left: number[], taken: number[]): Generator<number[]> {
    if (left.length === 0) yield taken
    for (const [i, one] of left.entries()) yield* permute([...left.slice(0, i), ...left.slice(i + 1)], [...taken, one])
  }
  for (const sequence of permute(free, [])) {
    const order = [...pinned.keys()]
    free.forEach((place, k) => (order[place] = sequence[k]!))
    yield order
  }
}

/** The least cost by trying every order, and the least distance among those. */
export function bruteOrder(problem: OrderProblem) {
  let best = { cost: Infinity, distance: Infinity }
  for (const order of orders(problem)) {
    const [cost, distance] = [orderCost(problem, order), orderDistance(order)]
    if (cost < best.cost || (cost === best.cost && distance < best.distance)) best = { cost, distance }
  }
  return best
}

/**
 * As a mixed-integer program, with places numbered along the way so that no part of it closes into a loop (Miller, Tucker & Zemlin 1960, J
 * ACM 7:326). An open row goes over a station 0 that costs nothing to leave.
 */
export function orderLp({ costs, before, cycle }: OrderProblem): string {
  const n = before.length
  const points = cycle ? [...before.keys()] : [...before.keys(), n]
  const cost = (i: number, j: number) => (i === n ? before[j]! : j === n ? 0 : costs[i]![j]!)
  const arcs = points.flatMap((i) => points.filter((j) => j !== i).map((j) => [i, j] as const))
  const name = (i: number, j: number) => `x${i}_${j}`
  const firsts = cycle ? [...before.keys()].map((i) => `f${i}`) : []
  const root = points.at(-1)!
  const rules = [
    ...points.map(
      (i) =>
        `${points
          .filter((j) => j !== i)
          .map((j) => name(i, j))
          .join(' + ')} = 1`,
    ),
    ...points.map(
      (i) =>
        `${points
          .filter((j) => j !== i)
          .map((j) => name(j, i))
          .join(' + ')} = 1`,
    ),
    ...arcs
      .filter(([i, j]) => i !== root && j !== root)
      .map(([i, j]) => `u${i} - u${j} + ${points.length - 1} ${name(i, j)} <= ${points.length - 2}`),
    ...(firsts.length ? [`${firsts.join(' + ')} = 1`] : []),
  ]
  const terms = [...arcs.map(([i, j]) => `${cost(i, j)} ${name(i, j)}`), ...firsts.map((f, i) => `${before[i]!} ${f}`)]
  return [
    'Minimize',
    ` obj: ${terms.join(' + ')}`,
    'Subject To',
    ...rules.map((rule, i) => ` c${i}: ${rule}`),
    'Bounds',
    ...points.filter((i) => i !== root).map((i) => ` 1 <= u${i} <= ${points.length - 1}`),
    'Binary',
    ` ${[...arcs.map(([i, j]) => name(i, j)), ...firsts].join(' ')}`,
    'End',
  ].join('\n')
}
