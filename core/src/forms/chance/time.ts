import { chanceModel, type ChanceModel } from './model.ts'
import { cardValues } from './things.ts'
import { quantile } from '../../distribution/chances.ts'
import { gameSeconds } from './gameSeconds.ts'
import type { ChanceBlock } from './schema.ts'
import type { Face, Station } from '../../session/station.ts'
import { openDose } from '../../timing/openDose.ts'
import { clocked } from '../../timing/span.ts'
import type { StepBuilder } from '../../timing/stepBuilder.ts'

/**
 * The results of chance as the steps of one game: draws and their tasks in turn. For a usual child they last as long as the median of all
 * games; for the quick and the slow end, as long as the 5 % and 95 % points.
 */
export function timeChance(block: ChanceBlock, steps: StepBuilder): void {
  const model = chanceModel(block, steps)
  const rows = model.faces.flatMap(({ face, rows }) => rows.map(({ station }): RowOf => ({ face, station })))
  if (rows.length === 0) return
  const first = steps.steps.length
  const { stop } = model
  if (stop.kind === 'seconds') {
    return steps.capped(stop.seconds, () => draws(model, rows, steps, Infinity, stop.seconds), true)
  }
  if (stop.kind === 'draws') draws(model, rows, steps, stop.draws)
  else cleared(model, steps)
  const all = gameSeconds(model)
  steps.lastAltogether(first, { low: quantile(all, 0.05), typical: quantile(all, 0.5), high: quantile(all, 0.95) })
}

interface RowOf {
  face: Face
  station: Station
}

function draw({ device, draw: seconds }: ChanceModel, { face, station }: RowOf, steps: StepBuilder, n: number): void {
  const params = { face, n, text: device }
  steps.tell('change', 'count', clocked(seconds), { code: 'chance.draw', params }, { station: station.id })
}

/** The average number a card asks for. */
const cardMean = Math.round(cardValues.reduce((sum, n) => sum + n, 0) / cardValues.length)

/** A row done once, with the drawn number if there is one. */
function task({ device }: ChanceModel, { station }: RowOf, steps: StepBuilder, lap: number, number = cardMean): void {
  const turn = steps.turn(station)
  const numbered = device === 'cards' || device === 'toss'
  steps.dose(turn, numbered ? { unit: 'reps', amount: number } : (turn.cell.dose ?? openDose), { lap })
}

/** A number of draws, or as many as fit into a time: each calls a row, the next in the table. */
function draws(model: ChanceModel, rows: readonly RowOf[], steps: StepBuilder, count: number, limit = Infinity): void {
  const start = steps.now
  for (let n = 1; n <= count && steps.now - start < limit; n++) {
    const row = rows[(n - 1) % rows.length]!
    draw(model, row, steps, n)
    if (model.device !== 'toss') {
      task(model, row, steps, n)
      continue
    }
    // A toss brings two exercises: five reps in all, about three on one side.
    for (const [side, { face, rows: column }] of model.faces.entries()) {
      const station = column[(n - 1) % column.length]?.station
      if (station) task(model, { face, station }, steps, n, n % 2 === (side === 0 ? 1 : 0) ? 3 : 2)
    }
  }
}

/** Every row done once, alternating between the columns. */
function cleared(model: ChanceModel, steps: StepBuilder): void {
  const longest = Math.max(...model.faces.map(({ rows }) => rows.length))
  let n = 0
  for (let i = 0; i < longest; i++) {
    for (const { face, rows } of model.faces) {
      const station = rows[i]?.station
      if (!station) continue
      draw(model, { face, station }, steps, ++n)
      task(model, { face, station }, steps, i + 1)
    }
  }
}
