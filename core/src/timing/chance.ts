import { spreadOf, type Spread } from '../chance/chances.ts'
import { clearedDraws, sumOfDraws } from '../chance/draws.ts'
import { chanceTable, type ChanceBlock } from '../workout/forms/chance.ts'
import type { Face, Station } from '../workout/station.ts'
import { countedWork } from './countedWork.ts'
import { defaultOf } from './defaults.ts'
import { openDose } from './openDose.ts'
import { breathSeconds } from './pace.ts'
import { roundHalfUp } from './span.ts'
import type { StepBuilder } from './stepBuilder.ts'

/** Seconds from one draw to its task: flipping, fetching, looking it up. */
export const drawSeconds: Record<ChanceBlock['device'], number> = {
  coin: defaultOf('coinDraw'),
  cards: defaultOf('cardDraw'),
  dice: defaultOf('throwOne'),
  toss: 5 * defaultOf('throwOne') + defaultOf('collect'),
}
/** The reps a card asks for: its number; ace one, pictures ten. Ours. */
export const cardValues = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 10, 10, 10]

/**
 * What chance brings, as its typical steps: one draw and its task after the other. A quick and a slow end are the
 * 5 % and 95 % points of the exact spread of flips or tasks.
 */
export function timeChance(block: ChanceBlock, steps: StepBuilder): void {
  const table = chanceTable(block)
  const rows = [...table].flatMap(([face, stations]) => stations.map((station) => ({ face, station })))
  if (rows.length === 0) return
  if (block.stop.kind === 'seconds') {
    steps.capped(block.stop.seconds, () => draws(block, rows, steps, 400))
  } else if (block.stop.kind === 'draws') draws(block, rows, steps, block.stop.draws)
  else cleared(block, table, steps)
}

type RowOf = { face: Face; station: Station }

function draw(block: ChanceBlock, { face, station }: RowOf, steps: StepBuilder, n: number): void {
  const { device } = block
  const params = { face, n, text: device }
  const seconds = drawSeconds[device]
  steps.tell(
    'change',
    'clock',
    { low: seconds, typical: seconds, high: seconds },
    { code: 'chance.draw', params },
    {
      station: station.id,
    },
  )
}

/** Seconds of a row's task by each number that may be drawn with it: a card's, 0 to 5 of a toss, else the one of its dose. */
export function taskSeconds(block: ChanceBlock, station: Station, steps: StepBuilder): number[] {
  const { cell, what } = steps.turn(station)
  const counting = {
    version: what.version,
    tempo: cell.tempo,
    pace: steps.pace,
    breath: breathSeconds(steps.group),
  }
  const sides = what.sides === 'each' ? 2 : 1
  const of = (amount: number) => countedWork({ unit: 'reps', amount }, counting).typical * sides
  if (block.device === 'cards') return cardValues.map(of)
  if (block.device === 'toss') return [0, 1, 2, 3, 4, 5].map((n) => (n ? of(n) : 0))
  return [countedWork(cell.dose ?? openDose, counting).typical * sides]
}

/** A number of draws: each brings the task of a row. Their spread is that of all of them together. */
function draws(block: ChanceBlock, rows: RowOf[], steps: StepBuilder, count: number): void {
  const first = steps.steps.length
  const start = steps.now
  const limit = block.stop.kind === 'seconds' ? block.stop.seconds : Infinity
  for (let n = 1; n <= count && steps.now - start < limit; n++) {
    const row = rows[(n - 1) % rows.length]!
    draw(block, row, steps, n)
    // A toss brings both moves: the left count of the one, the right count of the other, five in all.
    for (const { face, station } of block.device === 'toss' ? rows.slice(0, 2) : [row]) {
      const turn = steps.turn(station)
      const mean = block.device === 'cards' ? mean13 : n % 2 === (face === 'left' ? 1 : 0) ? 3 : 2
      const amount = block.device === 'toss' ? mean : Math.round(mean)
      const drawn = block.device === 'cards' || block.device === 'toss'
      steps.dose(turn, drawn ? { unit: 'reps', amount } : (turn.cell.dose ?? openDose), { lap: n })
    }
  }
  const each = rows.flatMap((row) => taskSeconds(block, row.station, steps))
  if (limit === Infinity) spreadOver(steps, first, spreadOf(sumOfDraws(each, count)))
}
const mean13 = cardValues.reduce((sum, n) => sum + n, 0) / cardValues.length

/** Every row done once: as many draws as that takes, those for a column that is done drawn again. */
function cleared(block: ChanceBlock, table: ReturnType<typeof chanceTable>, steps: StepBuilder): void {
  const columns = [...table].map(([face, stations]) => stations.map((station) => ({ face, station })))
  const longest = Math.max(...columns.map((c) => c.length))
  let n = 0
  for (let i = 0; i < longest; i++) {
    for (const row of columns.flatMap((c) => c[i] ?? [])) {
      draw(block, row, steps, ++n)
      const turn = steps.turn(row.station)
      steps.dose(
        turn,
        block.device === 'cards' ? { unit: 'reps', amount: Math.round(mean13) } : (turn.cell.dose ?? openDose),
        {
          lap: i + 1,
        },
      )
    }
  }
  const spread = spreadOf(clearedDraws(columns.map((c) => c.length)))
  const seconds = (draws: number) => Math.max(0, roundHalfUp((draws - n) * drawSeconds[block.device]))
  const again = { low: seconds(spread.low), typical: seconds(spread.mean), high: seconds(spread.high) }
  steps.tell('change', 'count', again, { code: 'chance.again', params: { text: block.device } })
}

/** Gives the quick and the slow end of a run of steps to its last: what the whole run differs by. */
function spreadOver(steps: StepBuilder, first: number, spread: Spread): void {
  const run = steps.steps.slice(first).filter((s) => s.kind === 'work' && s.by === 'count')
  const typical = run.reduce((sum, s) => sum + s.seconds.typical, 0)
  if (typical === 0) return
  for (const step of run) {
    const share = step.seconds.typical / typical
    step.seconds = {
      low: Math.min(step.seconds.typical, Math.floor(spread.low * share)),
      typical: step.seconds.typical,
      high: Math.max(step.seconds.typical, Math.ceil(spread.high * share)),
    }
  }
}
