import type { Library } from '../../library/library.ts'
import { defaultPace } from '../../timing/pace.ts'
import { carryInto } from '../../timing/lane.ts'
import { StepBuilder } from '../../timing/stepBuilder.ts'
import { libraryFor } from '../../library/carryMoves.ts'
import { openDose } from '../../timing/openDose.ts'
import { typicalAmount, type Unit } from '../../terms/dose.ts'
import type { ChanceBlock } from './schema.ts'
import type { Group } from '../../terms/group.ts'
import { valueFor } from '../../terms/perGroup.ts'
import type { Session } from '../../session/schema.ts'
import type { Face } from '../../session/station.ts'
import { chanceModel, type ChanceModel, type ChanceRow } from './model.ts'
import { cardValues, tossed } from './things.ts'
import { binomial, certain, mixed, spreadOf, type Chances, type Spread } from '../../distribution/chances.ts'
import { callsOf, clearedDraws, firstCleared, sumOfCards, sumOfDraws } from '../../distribution/draws.ts'
import { gameSeconds, playedAmounts, playedChances } from './gameSeconds.ts'

/** The total of one line of the sheet: a row; with cards or a toss, all rows of a suit or side. */
export interface LineOutlook {
  face: Face
  /** Ids. */
  stations: string[]
  unit: Unit
  amount: Spread
  /** The probability that it never comes up, 0 to 1. */
  never: number
}

export interface ChanceOutlook {
  /** The whole block, for a child at the typical pace. */
  seconds: Chances
  draws: Chances
  /** Draws until the first column is done, on a sheet to be cleared. */
  first?: Chances
  lines: LineOutlook[]
}

/**
 * How long a chance block takes a group at its place in the session and what it brings, over every way the draws can fall, at the typical
 * pace, including change-overs between tasks.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example a coin sheet of 6 + 6: first has mean 9.293, draws 14.707
 */
export function chanceOutlook(
  block: ChanceBlock,
  group: Group,
  session: Session,
  library: Library,
  pace = defaultPace(group),
): ChanceOutlook {
  const carry = carryInto(block, group, session, library, pace)
  const model = chanceModel(block, new StepBuilder(group, libraryFor(session, library), pace, carry))
  const columns = model.faces.map((f) => f.rows.length)
  if (columns.every((n) => n === 0)) return { seconds: certain(0), draws: certain(0), lines: [] }
  const draws = drawsOf(model, columns)
  return {
    seconds: gameSeconds(model),
    draws,
    ...(model.stop.kind === 'cleared' && { first: firstCleared(columns) }),
    lines: linesOf(model, group, draws),
  }
}

function drawsOf(model: ChanceModel, columns: readonly number[]): Chances {
  const { stop, device } = model
  if (stop.kind === 'draws') return certain(stop.draws)
  // Cards are not put back, and what fits into a time depends on the draws.
  if (stop.kind === 'seconds' || device === 'cards') return playedChances(model, (game) => game.draws)
  return clearedDraws(columns)
}

function linesOf(model: ChanceModel, group: Group, draws: Chances): LineOutlook[] {
  const { device, faces, stop } = model
  if (stop.kind === 'seconds') return timedLines(model, group)
  /** A distribution that depends on the number of draws, averaged over all of them. */
  const over = (chancesAt: (n: number) => Chances): Chances =>
    mixed([...draws].flatMap((p, n) => (p > 1e-9 ? [[p, chancesAt(n)] as const] : [])))
  if (device === 'cards' && stop.kind !== 'cleared') {
    const others = { value: 0, count: cardValues.length * (faces.length - 1) }
    const suit = (value: (card: number) => number) => (n: number) =>
      sumOfCards([...cardValues.map((card) => ({ value: value(card), count: 1 })), others], n)
    const reps = spreadOf(over(suit((card) => card)))
    const never = over(suit(() => 1))[0]!
    return faces
      .filter((f) => f.rows.length)
      .map(({ face, rows }) => ({ face, stations: ids(rows), unit: rows[0]!.unit, amount: reps, never }))
  }
  if (device === 'toss') {
    return faces.flatMap(({ face, rows }) =>
      rows.map(({ station, unit }, r): LineOutlook => {
        const reps = over((n) => binomial(tossed * Math.max(0, Math.ceil((n - r) / rows.length)), 0.5))
        return { face, stations: [station.id], unit, amount: spreadOf(reps), never: reps[0]! }
      }),
    )
  }
  return faces.flatMap(({ face, rows }) =>
    rows.map(({ station, unit }, r): LineOutlook => {
      if (device === 'cards') {
        const amount = spreadOf(sumOfDraws(cardValues, 1))
        return { face, stations: [station.id], unit, amount, never: 0 }
      }
      const each = typicalAmount((valueFor(station.cells, group.id).dose ?? openDose).amount)
      const done =
        stop.kind === 'cleared' ? certain(1) : over((n) => timesInTurn(callsOf(n, faces.length), r, rows.length))
      const { low, mean, high } = spreadOf(done)
      const amount = { low: low * each, mean: mean * each, high: high * each }
      return { face, stations: [station.id], unit, amount, never: done[0]! }
    }),
  )
}

/**
 * The results of a time limit, from simulated games: drawing a long row leaves fewer draws, so the number of draws and their rows are not
 * independent.
 */
function timedLines(model: ChanceModel, group: Group): LineOutlook[] {
  const { device, faces } = model
  const lines = faces.flatMap(({ face, rows }) =>
    device === 'cards' ? (rows.length ? [{ face, rows }] : []) : rows.map((row) => ({ face, rows: [row] })),
  )
  const amounts = playedAmounts(
    model,
    lines.map((line) => line.rows),
  )
  return lines.map(({ face, rows }, i): LineOutlook => {
    const [first] = rows
    const own = device !== 'cards' && device !== 'toss'
    const each = own ? typicalAmount((valueFor(first!.station.cells, group.id).dose ?? openDose).amount) : 1
    const { low, mean, high } = spreadOf(amounts[i]!)
    const amount = { low: low * each, mean: mean * each, high: high * each }
    return { face, stations: ids(rows), unit: first!.unit, amount, never: amounts[i]![0]! }
  })
}

const ids = (rows: readonly ChanceRow[]) => rows.map((row) => row.station.id)

/** How often the r-th of several rows comes up when they are taken in turn. */
function timesInTurn(calls: Chances, r: number, rows: number): Chances {
  const done = new Float64Array(Math.ceil(calls.length / rows) + 1)
  calls.forEach((p, called) => {
    const n = Math.max(0, Math.ceil((called - r) / rows))
    done[n] = done[n]! + p
  })
  return done
}
