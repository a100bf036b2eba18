import type { Library } from '../moves/library.ts'
import { defaultPace } from '../timing/pace.ts'
import { cardValues } from '../timing/chance.ts'
import { openDose } from '../timing/openDose.ts'
import { typicalAmount, type Unit } from '../workout/dose.ts'
import type { ChanceBlock } from '../workout/forms/chance.ts'
import type { Group } from '../workout/group.ts'
import { valueFor } from '../workout/perGroup.ts'
import type { Workout } from '../workout/schema.ts'
import type { Face } from '../workout/station.ts'
import { chanceModel, type ChanceModel, type ChanceRow } from './chanceModel.ts'
import { binomial, certain, mixed, plus, spreadOf, times, type Chances, type Spread } from './chances.ts'
import { callsOf, clearedDraws, firstCleared, sumOfCards, sumOfDraws, sumOverCalls } from './draws.ts'

/** What one line of the sheet comes to: a row; with cards or a toss, all the rows of a suit or side. */
export interface LineOutlook {
  face: Face
  /** Ids. */
  stations: string[]
  unit: Unit
  amount: Spread
  /** The chance that it never comes up, 0 to 1. */
  never: number
}

export interface ChanceOutlook {
  /** Of the whole block, for a child at the typical pace. */
  seconds: Chances
  draws: Chances
  /** Draws until the first column is done, where the sheet is to be cleared. */
  first?: Chances
  lines: LineOutlook[]
}

/**
 * How long a chance block takes a group and what it brings, exactly: every way the draws can fall, at the typical pace.
 * Rows of a column are taken in turn. Where draws end by the clock, or a sheet is cleared by cards, each is as likely
 * as the others at every draw; else cards are not put back.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example a coin sheet of 6 + 6: first has mean 9.293, draws 14.707
 */
export function chanceOutlook(
  block: ChanceBlock,
  group: Group,
  workout: Workout,
  library: Library,
  pace = defaultPace(group),
): ChanceOutlook {
  const model = chanceModel(block, group, workout, library, pace)
  const columns = model.faces.map((f) => f.rows.length)
  if (columns.every((n) => n === 0)) return { seconds: certain(0), draws: certain(0), lines: [] }
  const draws = drawsOf(model, columns)
  return {
    seconds: secondsOf(model, draws),
    draws,
    ...(model.stop.kind === 'cleared' && { first: firstCleared(columns) }),
    lines: linesOf(model, group, draws),
  }
}

function drawsOf(model: ChanceModel, columns: readonly number[]): Chances {
  const { stop } = model
  if (stop.kind === 'draws') return certain(stop.draws)
  if (stop.kind === 'cleared') return clearedDraws(columns)
  // As many as are begun before the time is up.
  const one = times(taskOf(model), 1, model.draw)
  const begun: number[] = [0]
  let spent = certain(0)
  for (;;) {
    const before = spent.subarray(0, stop.seconds)
    const going = before.reduce((sum, p) => sum + p, 0)
    begun.push(going)
    if (going < 1e-9) break
    spent = plus(before, one)
  }
  // begun[n] is the chance of at least n draws.
  return Float64Array.from(begun, (p, n) => (n === 0 ? 0 : p) - (begun[n + 1] ?? 0)).map((p) => Math.max(0, p))
}

/** Seconds of one draw's task, each face as likely as the others. */
function taskOf({ device, faces }: ChanceModel): Chances {
  const share = 1 / faces.length
  if (device === 'toss') return tossTask(faces)
  return mixed(faces.map(({ rows }) => [share, rows.length ? ofAny(rows) : certain(0)]))
}

/** The task of any of some rows, each as likely as the others. */
const ofAny = (rows: readonly ChanceRow[]): Chances =>
  mixed(rows.map((row) => [1 / rows.length, sumOfDraws(row.tasks, 1)]))

/** One toss of five: so many on the left are reps of the one, the others of the other. */
function tossTask(faces: ChanceModel['faces']): Chances {
  const seconds = (side: number, n: number) => faces[side]?.rows[0]?.tasks[n] ?? 0
  return mixed([...binomial(5, 0.5)].map((p, left) => [p, certain(seconds(0, left) + seconds(1, 5 - left))]))
}

function secondsOf(model: ChanceModel, draws: Chances): Chances {
  const { stop, faces, device, draw, changes } = model
  if (stop.kind === 'seconds') return certain(stop.seconds)
  if (stop.kind === 'cleared') {
    const tasks = faces.flatMap((f) => f.rows).reduce((sum, row) => plus(sum, sumOfDraws(row.tasks, 1)), certain(0))
    return plus(times(draws, draw, changes), tasks)
  }
  const n = stop.draws
  const fixed = n * draw + changes
  if (device === 'cards') return times(sumOfCards(deckOf(faces), n), 1, fixed)
  if (device === 'toss') {
    let sum = certain(fixed)
    for (let round = 0; round < n; round++) sum = plus(sum, tossTask(faces))
    return sum
  }
  const brings = faces.map(({ rows }) => {
    const sums = [0]
    for (let called = 0; called < n; called++) sums.push(sums[called]! + (rows[called % rows.length]?.tasks[0] ?? 0))
    return sums
  })
  return times(sumOverCalls(brings, n), 1, fixed)
}

/** The deck by seconds: a suit of several rows is a choice, timed at their mean; one without rows brings nothing. */
const deckOf = (faces: ChanceModel['faces']) =>
  faces.flatMap(({ rows }) =>
    cardValues.map((_, card) => ({
      value: rows.length ? Math.round(rows.reduce((sum, row) => sum + row.tasks[card]!, 0) / rows.length) : 0,
      count: 1,
    })),
  )

function linesOf(model: ChanceModel, group: Group, draws: Chances): LineOutlook[] {
  const { device, faces, stop } = model
  /** A distribution that depends on the number of draws, over all of them. */
  const over = (of: (n: number) => Chances): Chances =>
    mixed([...draws].flatMap((p, n) => (p > 1e-9 ? [[p, of(n)] as const] : [])))
  if (device === 'cards' && stop.kind !== 'cleared') {
    const others = { value: 0, count: cardValues.length * (faces.length - 1) }
    const suit = (value: (card: number) => number) => (n: number) =>
      sumOfCards([...cardValues.map((card) => ({ value: value(card), count: 1 })), others], n)
    const reps = spreadOf(over(suit((card) => card)))
    const never = over(suit(() => 1))[0]!
    return faces
      .filter((f) => f.rows.length)
      .map(({ face, rows }) => ({ face, stations: ids(rows), unit: 'reps', amount: reps, never }))
  }
  if (device === 'toss' && stop.kind !== 'cleared') {
    const reps = over((n) => binomial(5 * n, 0.5))
    return faces
      .filter((f) => f.rows.length)
      .map(({ face, rows }) => ({
        face,
        stations: ids(rows.slice(0, 1)),
        unit: 'reps',
        amount: spreadOf(reps),
        never: reps[0]!,
      }))
  }
  return faces.flatMap(({ face, rows }) =>
    rows.map(({ station }, r) => {
      const dose = valueFor(station.cells, group.id).dose ?? openDose
      const each = typicalAmount(dose.amount)
      const done =
        stop.kind === 'cleared' ? certain(1) : over((n) => timesInTurn(callsOf(n, faces.length), r, rows.length))
      const { low, mean, high } = spreadOf(done)
      const amount = { low: low * each, mean: mean * each, high: high * each }
      return { face, stations: [station.id], unit: dose.unit, amount, never: done[0]! }
    }),
  )
}

const ids = (rows: readonly ChanceRow[]) => rows.map((row) => row.station.id)

/** How often the r-th of some rows comes up when they are taken in turn. */
function timesInTurn(calls: Chances, r: number, rows: number): Chances {
  const done = new Float64Array(Math.ceil(calls.length / rows) + 1)
  calls.forEach((p, called) => {
    const n = Math.max(0, Math.ceil((called - r) / rows))
    done[n] = done[n]! + p
  })
  return done
}
