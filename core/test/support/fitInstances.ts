import { seededRandom } from '../../src/distribution/seededRandom.ts'
import { type FitProblem, type FitSolution, type Passage } from '../../src/fit/fitProblem.ts'

/** A small random fit. @param states more than one, so that what a block passes on matters to the next */
export function randomFit(seed: number, { blocks = 3, lanes = 3, settings = 4, states = 1 } = {}): FitProblem {
  const random = seededRandom(seed)
  const upTo = (n: number) => Math.floor(random() * n)
  const passage = (seconds: number): Passage =>
    Array.from({ length: states }, () => ({ seconds: seconds + upTo(3), exit: upTo(states) }))
  const list = Array.from({ length: blocks }, () => {
    const variants = 1 + upTo(2)
    const shared = Array.from({ length: 1 + upTo(settings) }, (_, o) => ({
      cost: o === 0 ? 0 : 1 + upTo(12),
      variant: o === 0 ? 0 : upTo(variants),
    }))
    return {
      shared,
      lanes: Array.from({ length: lanes }, () => {
        const now = 30 + upTo(40)
        return {
          follow: shared.map((_, o) =>
            o > 0 && random() < 0.15 ? undefined : passage(o === 0 ? now : now - upTo(25)),
          ),
          spared: shared.map((_, o) => (o > 0 && random() < 0.4 ? upTo(7) : 0)),
          own: Array.from({ length: variants }, () =>
            Array.from({ length: upTo(settings) }, () => ({ cost: 2 + upTo(12), passage: passage(now - upTo(25)) })),
          ),
        }
      }),
    }
  })
  const most = Math.round(blocks * (36 + random() * 14))
  return {
    blocks: list,
    lanes,
    states,
    least: random() < 0.3 ? most - 20 : 0,
    most,
    ...(random() < 0.5 && { together: 4 + upTo(10) }),
  }
}

/** What lanes may do in a block under a shared setting: the cost, and the result. */
const choicesOf = (problem: FitProblem, k: number, g: number, o: number) => {
  const block = problem.blocks[k]!
  const lane = block.lanes[g]!
  const follow = lane.follow[o]
  return [
    ...(follow ? [{ cost: lane.spared[o]!, passage: follow }] : []),
    ...(lane.own[block.shared[o]!.variant] ?? []),
  ]
}

/** The least cost, by trying everything; undefined if nothing fits. */
export function bruteFit(problem: FitProblem): number | undefined {
  const { blocks, lanes, least, most, together } = problem
  let best: number | undefined
  const tryShared = (k: number, chosen: number[], cost: number): void => {
    if (k < blocks.length) {
      blocks[k]!.shared.forEach((s, o) => tryShared(k + 1, [...chosen, o], cost + s.cost))
      return
    }
    const ends = Array.from({ length: lanes }, (_, g) => {
      let reached: { t: number; e: number; cost: number }[] = [{ t: 0, e: 0, cost: 0 }]
      chosen.forEach((o, block) => {
        reached = reached.flatMap((at) =>
          choicesOf(problem, block, g, o).map(({ cost: c, passage }) => ({
            t: at.t + passage[at.e]!.seconds,
            e: passage[at.e]!.exit,
            cost: at.cost + c,
          })),
        )
      })
      return reached.filter(({ t }) => t >= least && t <= most)
    })
    for (let from = least; from <= most; from++) {
      const to = together === undefined ? most : from + together
      const sum = ends.reduce(
        (total, list) => total + Math.min(...list.filter(({ t }) => t >= from && t <= to).map((end) => end.cost)),
        cost,
      )
      if (sum < (best ?? Infinity)) best = sum
    }
  }
  tryShared(0, [], 0)
  return best
}

/** A fit with one state as a mixed-integer program in the LP format other solvers read. */
export function fitLp({ blocks, lanes, least, most, together }: FitProblem): string {
  const cost: string[] = []
  const rules: string[] = []
  const binary: string[] = []
  const seconds: string[][] = Array.from({ length: lanes }, () => [])
  blocks.forEach((block, k) => {
    block.shared.forEach((s, o) => {
      binary.push(`x${k}_${o}`)
      if (s.cost) cost.push(`${s.cost} x${k}_${o}`)
    })
    rules.push(`${block.shared.map((_, o) => `x${k}_${o}`).join(' + ')} = 1`)
    block.lanes.forEach((lane, g) =>
      block.shared.forEach(({ variant }, o) => {
        const taken: string[] = []
        const add = (name: string, c: number, passage: Passage) => {
          binary.push(name)
          taken.push(name)
          if (c) cost.push(`${c} ${name}`)
          seconds[g]!.push(`${passage[0]!.seconds} ${name}`)
        }
        if (lane.follow[o]) add(`f${k}_${g}_${o}`, lane.spared[o]!, lane.follow[o])
        lane.own[variant]?.forEach((own, p) => add(`o${k}_${g}_${o}_${p}`, own.cost, own.passage))
        rules.push(`${[...taken, `- x${k}_${o}`].join(' + ').replaceAll('+ -', '-')} = 0`)
      }),
    )
  })
  seconds.forEach((list) => {
    rules.push(`${list.join(' + ')} <= ${most}`, `${list.join(' + ')} >= ${least}`)
    if (together !== undefined) rules.push(`${list.join(' + ')} - m >= 0`, `${list.join(' + ')} - m <= ${together}`)
  })
  return [
    'Minimize',
    ` obj: ${cost.join(' + ') || '0 x0_0'}`,
    'Subject To',
    ...rules.map((rule, i) => ` c${i}: ${rule}`),
    'Bounds',
    ...(together !== undefined ? [` 0 <= m <= ${most}`] : []),
    'Binary',
    ` ${binary.join(' ')}`,
    'End',
  ].join('\n')
}

/** Whether a solution satisfies its problem, and costs what it says. */
export function fitHolds(problem: FitProblem, solution: FitSolution): boolean {
  const { blocks, lanes, least, most, together } = problem
  let cost = blocks.reduce((sum, block, k) => sum + block.shared[solution.shared[k]!]!.cost, 0)
  const ends = Array.from({ length: lanes }, (_, g) => {
    let at = { t: 0, e: 0 }
    blocks.forEach((block, k) => {
      const o = solution.shared[k]!
      const own = solution.own[k]![g]
      const choice = own === undefined ? undefined : block.lanes[g]!.own[block.shared[o]!.variant]![own]!
      const passage = choice ? choice.passage : block.lanes[g]!.follow[o]!
      cost += choice?.cost ?? block.lanes[g]!.spared[o]!
      at = { t: at.t + passage[at.e]!.seconds, e: passage[at.e]!.exit }
    })
    return at.t
  })
  return (
    cost === solution.cost &&
    ends.every((t, g) => t === solution.seconds[g] && t >= least && t <= most) &&
    (together === undefined || Math.max(...ends) - Math.min(...ends) <= together)
  )
}
