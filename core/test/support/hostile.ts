import { type Block, type Cell, type Station, type Session } from '@esfuerzo/core'
import { newBlock } from '../../src/session/forms.ts'
import { sessionOf } from '../sessions.ts'

const six = [[0], [1], [2], [3], [4], [5, 6]]
const cells: Station['cells'] = { all: { move: 'squat', version: 'chair-squat', dose: { amount: 10, unit: 'reps' } } }
let made = 0
const rows = (n: number, cell: Cell = cells.all): Station[] =>
  Array.from({ length: n }, () => ({ id: `h${++made}`, cells: { all: cell } }))
const blocks = <B extends Block>(n: number, block: (id: string) => B) =>
  Array.from({ length: n }, (_, i) => block(`b${i + 1}`))

/**
 * Sessions of allowed values whose steps nobody could ever do: a few kilobytes each, up to hundreds of megabytes once computed to the
 * second.
 */
export const hostileSessions: Record<string, () => Session> = {
  'calls every second for an hour, forty times': () =>
    sessionOf(
      blocks(40, (id) => ({ ...newBlock.calls(id), stations: rows(2), every: { all: 1 }, seconds: { all: 3600 } })),
      six,
    ),
  'a ladder of 200 stations to 120 and down again': () =>
    sessionOf(
      [{ ...newBlock.ladder('b1'), stations: rows(200), from: { all: 1 }, to: { all: 120 }, shape: 'upDown' }],
      six,
    ),
  'thirty rounds of 200 stations': () =>
    sessionOf([{ ...newBlock.rounds('b1'), stations: rows(200), rounds: { all: 30 } }], six),
  'a ladder of 20 stations to 120 and down again': () =>
    sessionOf(
      [{ ...newBlock.ladder('b1'), stations: rows(20), from: { all: 1 }, to: { all: 120 }, shape: 'upDown' }],
      six,
    ),
}

/** Allowed, and as large as possible: just under three thousand steps in each of six lanes. */
export const largeSession = (): Session =>
  sessionOf([{ ...newBlock.rounds('b1'), stations: rows(48), rounds: { all: 30 }, restStations: { all: 5 } }], six)

/** Allowed, and slow to compute: games of cards with many draws, forty at most. */
export const dearSession = (games = 40): Session =>
  sessionOf(
    blocks(games, (id) => ({
      ...newBlock.chance(id),
      device: 'cards',
      stations: rows(5, { move: 'plank', version: 'plank' }),
      stop: { kind: 'draws', draws: 18 },
      seed: Number(id.slice(1)),
    })),
    six,
  )
