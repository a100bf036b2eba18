import { type ChanceModel, type ChanceRow } from './model.ts'
import { cardValues, tossed } from './things.ts'
import { binomial, certain, type Chances } from '../../distribution/chances.ts'
import { sumOfCards } from '../../distribution/draws.ts'
import { playGame, type PlayedGame } from './playGame.ts'
import { seededRandom } from '../../distribution/seededRandom.ts'

/** Exact enough for a lane: above this number of steps, this many games are simulated instead (ours). */
const mostWork = 2_000_000
const games = 5000
/** Probability that may be left out at a distribution's tail. */
const tail = 1e-9

/**
 * How long a game of chance takes at the typical pace: draws, tasks and changing over between them. Exact, over every way the draws can
 * fall; with cards at different levels, or too many ways, it uses five thousand games with the block's own seed, whose estimated 5 % point
 * is really between 4 and 6 %.
 */
export function gameSeconds(model: ChanceModel): Chances {
  const key = keyOf(model)
  const there = known.get(key)
  if (there) return there
  if (known.size >= mostKnown) known.delete(known.keys().next().value!)
  const made = exactSeconds(model) ?? playedSeconds(model)
  known.set(key, made)
  return made
}
/** A lane is timed at every key press with the same sheet, and a fit tries every number of draws: results are cached. */
const known = new Map<string, Chances>()
const mostKnown = 500

/** Everything that makes a difference. */
const keyOf = (model: ChanceModel): string =>
  JSON.stringify({ ...model, faces: model.faces.map(({ rows }) => rows.map(({ station: _, ...row }) => row)) })

/** @returns undefined if there are too many ways */
function exactSeconds(model: ChanceModel): Chances | undefined {
  const { stop, device, faces } = model
  if (stop.kind === 'seconds') return certain(stop.seconds)
  if (faces.every(({ rows }) => rows.length === 0)) return certain(stop.kind === 'draws' ? stop.draws * model.draw : 0)
  if (device === 'cards') return cardsAlike(model) ?? fewCards(model)
  if (stop.kind === 'cleared') return cleared(model)
  return device === 'toss' ? tossedSeconds(model, stop.draws) : drawn(model, stop.draws)
}

/**
 * A shorter game is the beginning of a longer one, so games are played once for all lengths up to the next multiple of sixteen. Longer
 * games have different luck, so an answer must not depend on what was asked before.
 */
const ledgers = new Map<string, Chances[]>()
const mostLedgers = 40
const drawsAhead = 16

function playedSeconds(model: ChanceModel): Chances {
  const { stop } = model
  if (stop.kind !== 'draws') return playedChances(model, (game) => game.seconds)
  const draws = Math.ceil(stop.draws / drawsAhead) * drawsAhead
  const key = keyOf({ ...model, stop: { kind: 'draws', draws } })
  const there = ledgers.get(key)?.[stop.draws]
  if (there) return there
  if (ledgers.size >= mostLedgers) ledgers.delete(ledgers.keys().next().value!)
  const seen = Array.from({ length: draws + 1 }, () => new Map<number, number>())
  const random = seededRandom(model.seed)
  for (let n = 0; n < games; n++)
    playGame({ ...model, stop: { kind: 'draws', draws } }, random, {
      onDraw: (game) => {
        const sums = seen[game.draws]!
        sums.set(game.seconds, (sums.get(game.seconds) ?? 0) + 1 / games)
      },
    })
  const ledger = seen.map((sums) => chancesOf(new Map([[0, sums]])))
  ledgers.set(key, ledger)
  return ledger[stop.draws]!
}

/** Seconds of simulated games with the block's own seed. */
export function playedChances(model: ChanceModel, secondsOf: (game: PlayedGame) => number): Chances {
  const random = seededRandom(model.seed)
  return chancesOfGames(Array.from({ length: games }, () => secondsOf(playGame(model, random))))
}

/**
 * How much of each row the block's own simulated games bring: how often it is done; with cards and a toss, its reps.
 *
 * @param groups rows that count together
 * @returns per group; the numbers of one game depend on each other: much of one row leaves little time for another
 */
export function playedAmounts(model: ChanceModel, groups: readonly (readonly ChanceRow[])[]): Chances[] {
  const random = seededRandom(model.seed)
  const worth = (number: number) =>
    model.device === 'toss' ? number : model.device === 'cards' ? cardValues[number]! : 1
  const amounts = groups.map(() => [] as number[])
  for (let game = 0; game < games; game++) {
    const sums = new Map<ChanceRow, number>()
    playGame(model, random, { onTask: (row, number) => sums.set(row, (sums.get(row) ?? 0) + worth(number)) })
    groups.forEach((rows, i) => amounts[i]!.push(rows.reduce((sum, row) => sum + (sums.get(row) ?? 0), 0)))
  }
  return amounts.map(chancesOfGames)
}

function chancesOfGames(numbers: readonly number[]): Chances {
  const chances = new Float64Array(numbers.reduce((most, n) => Math.max(most, n), 0) + 1)
  for (const n of numbers) chances[n] = chances[n]! + 1 / numbers.length
  return chances
}

/** A pack with one row per suit in which every change-over takes the same time: only the cards' numbers differ. */
function cardsAlike({ stop, faces, changes, draw }: ChanceModel): Chances | undefined {
  const rows = faces.flatMap((f) => f.rows)
  const places = rows.map((row) => row.stance)
  const same = (seconds: number[]) => new Set(seconds).size === 1
  const between = places.flatMap((from) => places.map((to) => changes[from]![to]!))
  const into = places.map((to) => changes[0]![to]!)
  if (stop.kind !== 'draws' || faces.some((f) => f.rows.length !== 1) || !same(between) || !same(into)) return undefined
  const deck = rows.flatMap((row) => row.tasks.map((task) => ({ value: task + between[0]! + draw, count: 1 })))
  const sums = sumOfCards(deck, stop.draws)
  const more = into[0]! - between[0]!
  return more < 0 ? sums.subarray(-more) : Float64Array.from([...new Float64Array(more), ...sums])
}

/** A few cards, one after the other. */
function fewCards({ stop, faces, changes, draw }: ChanceModel): Chances | undefined {
  const numbers = [...new Set(cardValues)]
  if (stop.kind !== 'draws' || (numbers.length * faces.length) ** stop.draws > mostWork / 20) return undefined
  const left = faces.map(() => numbers.map((number) => cardValues.filter((n) => n === number).length))
  const ends: States = new Map()
  const called = faces.map(() => 0)
  const deal = (n: number, seconds: number, p: number, stance: number): void => {
    if (n === stop.draws) return put(ends, 0, seconds, p)
    const pack = cardValues.length * faces.length - n
    for (const [f, { rows }] of faces.entries()) {
      const row = rows[called[f]! % rows.length]
      called[f]!++
      for (const [i, number] of numbers.entries()) {
        const share = left[f]![i]! / pack
        if (share === 0) continue
        left[f]![i]!--
        const more = row ? changes[stance]![row.stance]! + row.tasks[number - 1]! : 0
        deal(n + 1, seconds + draw + more, p * share, row ? row.stance : stance)
        left[f]![i]!++
      }
      called[f]!--
    }
  }
  deal(0, 0, 1, 0)
  return chancesOf(ends)
}

/** Seconds by state: progress of the rows, and the child's position. */
type States = Map<number, Map<number, number>>

const put = (states: States, state: number, seconds: number, p: number) => {
  const sums = states.get(state) ?? states.set(state, new Map<number, number>()).get(state)!
  sums.set(seconds, (sums.get(seconds) ?? 0) + p)
}

function chancesOf(states: States): Chances {
  const sums = [...states.values()]
  const chances = new Float64Array(sums.flatMap((s) => [...s.keys()]).reduce((a, b) => Math.max(a, b), 0) + 1)
  for (const one of sums) for (const [seconds, p] of one) chances[seconds] = chances[seconds]! + p
  return chances
}

/** A number of draws of a coin or a die, rows of a face in turn. */
function drawn({ faces, changes, draw }: ChanceModel, draws: number): Chances | undefined {
  const sizes = faces.map(({ rows }) => Math.max(1, rows.length))
  let states: States = new Map([[0, new Map([[0, 1]])]])
  let work = 0
  for (let n = 0; n < draws; n++) {
    const next: States = new Map()
    for (const [state, sums] of states) {
      if ((work += sums.size * faces.length) > mostWork) return undefined
      const stance = state % changes.length
      let unit = changes.length
      for (const [f, { rows }] of faces.entries()) {
        const turn = Math.floor(state / unit) % sizes[f]!
        const row = rows[turn]
        const to = row ? state - stance + row.stance + (((turn + 1) % sizes[f]!) - turn) * unit : state
        const more = draw + (row ? changes[stance]![row.stance]! + row.tasks[0]! : 0)
        for (const [seconds, p] of sums) put(next, to, seconds + more, p / faces.length)
        unit *= sizes[f]!
      }
    }
    states = next
  }
  return chancesOf(states)
}

/** A number of tosses of five things: those on the left are reps of one exercise, the others of the other. */
function tossedSeconds({ faces, changes, draw }: ChanceModel, rounds: number): Chances | undefined {
  let states: States = new Map([[0, new Map([[0, 1]])]])
  let work = 0
  for (let round = 0; round < rounds; round++) {
    const next: States = new Map()
    for (const [stance, sums] of states) {
      if ((work += sums.size * 6) > mostWork) return undefined
      for (const [left, share] of fiveThings.entries()) {
        let [at, more] = [stance, draw]
        for (const [side, number] of [left, tossed - left].entries()) {
          const { rows } = faces[side]!
          const row = rows[round % rows.length]
          if (!row || number === 0) continue
          more += changes[at]![row.stance]! + row.tasks[number]!
          at = row.stance
        }
        for (const [seconds, p] of sums) put(next, at, seconds + more, p * share)
      }
    }
    states = next
  }
  return chancesOf(states)
}
const fiveThings = binomial(5, 0.5)

/** Every row once: a draw for a face that is done, or has no row, is repeated until another comes. */
function cleared({ faces, changes, draw }: ChanceModel): Chances | undefined {
  const sizes = faces.map(({ rows }) => rows.length + 1)
  const ends: States = new Map()
  // Layer by layer of rows done, each state after all its predecessors.
  let layer: States = new Map([[0, new Map([[0, 1]])]])
  let work = 0
  while (layer.size) {
    const next: States = new Map()
    for (const [state, sums] of layer) {
      const stance = state % changes.length
      const open: { to: number; more: number }[] = []
      let unit = changes.length
      for (const [f, { rows }] of faces.entries()) {
        const row = rows[Math.floor(state / unit) % sizes[f]!]
        if (row)
          open.push({
            to: state - stance + row.stance + unit,
            more: draw + changes[stance]![row.stance]! + row.tasks[0]!,
          })
        unit *= sizes[f]!
      }
      if (open.length === 0) {
        for (const [seconds, p] of sums) put(ends, 0, seconds, p)
        continue
      }
      const again = 1 - open.length / faces.length
      const waited = new Map<number, number>()
      for (const [seconds, p] of sums)
        for (let [r, q] = [0, p]; q > tail * p && (r === 0 || q > 1e-15); r++, q *= again)
          waited.set(seconds + r * draw, (waited.get(seconds + r * draw) ?? 0) + q)
      if ((work += waited.size * open.length + sums.size * 10) > mostWork) return undefined
      for (const { to, more } of open)
        for (const [seconds, p] of waited) put(next, to, seconds + more, p / faces.length)
    }
    layer = next
  }
  return chancesOf(ends)
}
