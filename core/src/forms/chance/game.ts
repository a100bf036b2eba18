import { repsOfCard, tossed } from './things.ts'
import type { PlayedTurn, PlayOf } from '../../publication/playSchema.ts'

type ChancePlay = PlayOf<'chance'>

/** A result of chance: a face of the coin or die, a card with its number, or how many of five things lie on the left. */
export interface DrawOutcome {
  face: string
  /** For a card, 1 to 13; for a toss, how many of five lie on the left, 0 to 5. */
  value?: number
}

/** Something to do after a draw. */
export interface ChanceTask {
  /** Its row, `face:index`. */
  row: string
  turn: PlayedTurn
  /** Reps of the draw, if they are not the row's own amount. */
  amount?: number
}

/** A coin sheet, a pack of cards or a toss during play. */
export interface ChanceGame {
  /** Draws whose tasks are done, and the current one. */
  draws: number
  /** Rows done at least once. */
  done: readonly string[]
  /** The last draw and what is still to do for it; when nothing is left, draw again. */
  drawn?: { outcome: DrawOutcome; tasks: readonly ChanceTask[] }
  /** How often each face has come up. */
  faces: Readonly<Record<string, number>>
  /** Cards on the table, as `face value`: they do not come again before the pack is used up. */
  gone: readonly string[]
  over: boolean
}

export const startChance = (play: ChancePlay): ChanceGame => ({
  draws: 0,
  done: [],
  faces: {},
  gone: [],
  over: play.table.every((face) => face.turns.length === 0),
})

const values = Array.from({ length: 13 }, (_, i) => i + 1)

/**
 * The device's own draw, for a child without a coin, cards or die. A pack is dealt to its end before any card repeats.
 *
 * @param random gives numbers from 0 up to 1
 */
export function drawOutcome(game: Pick<ChanceGame, 'gone'>, play: ChancePlay, random: () => number): DrawOutcome {
  const one = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!
  if (play.device === 'toss') {
    let left = 0
    for (let i = 0; i < tossed; i++) if (random() < 0.5) left++
    return { face: 'left', value: left }
  }
  if (play.device !== 'cards') return { face: one(play.table).face }
  const pack = play.table.flatMap(({ face }) => values.map((value) => ({ face, value })))
  const left = pack.filter((card) => !game.gone.includes(nameOf(card)))
  return one(left.length ? left : pack)
}

const nameOf = ({ face, value }: DrawOutcome) => `${face} ${value}`

/** The game after a draw. On a sheet to be cleared, a face whose rows are all done has no task: it is drawn again. */
export function drawn(game: ChanceGame, play: ChancePlay, outcome: DrawOutcome): ChanceGame {
  if (game.over) return game
  const faces = { ...game.faces, [outcome.face]: (game.faces[outcome.face] ?? 0) + 1 }
  const gone = play.device === 'cards' ? dealt(game.gone, play, nameOf(outcome)) : game.gone
  return { ...game, faces, gone, drawn: { outcome, tasks: tasksOf(game, play, outcome) } }
}

/** A used-up pack is shuffled and dealt again. */
const dealt = (gone: readonly string[], play: ChancePlay, card: string): readonly string[] =>
  new Set(gone).size >= values.length * play.table.length ? [card] : [...gone, card]

function tasksOf(game: ChanceGame, play: ChancePlay, { face, value = 0 }: DrawOutcome): ChanceTask[] {
  if (play.device === 'toss') {
    return play.table.flatMap(({ face: side, turns }) => {
      const amount = side === 'left' ? value : tossed - value
      const turn = turns[game.draws % turns.length]
      return turn && amount > 0 ? [{ row: `${side}:${turns.indexOf(turn)}`, turn, amount }] : []
    })
  }
  const turns = play.table.find((f) => f.face === face)?.turns ?? []
  const rows = turns.map((turn, i) => ({ row: `${face}:${i}`, turn }))
  const clearing = play.stop.kind === 'cleared'
  const row = clearing ? rows.find((r) => !game.done.includes(r.row)) : rows[(game.faces[face] ?? 0) % rows.length]
  if (!row) return []
  return [{ ...row, ...(play.device === 'cards' && { amount: repsOfCard(value) }) }]
}

/** The game after the first of the current tasks is done. */
export function taskDone(game: ChanceGame, play: ChancePlay): ChanceGame {
  const [task, ...tasks] = game.drawn?.tasks ?? []
  if (!task || !game.drawn) return game
  const done = game.done.includes(task.row) ? game.done : [...game.done, task.row]
  if (tasks.length) return { ...game, done, drawn: { ...game.drawn, tasks } }
  const draws = game.draws + 1
  const rows = play.table.reduce((sum, face) => sum + face.turns.length, 0)
  // A toss has rounds; older published sessions may not say how many.
  const most = play.stop.kind === 'draws' ? (play.stop.most ?? 1) : play.device === 'toss' ? 3 : Infinity
  const cleared = play.stop.kind === 'cleared' && play.device !== 'toss'
  const over = cleared ? done.length >= rows : play.stop.kind !== 'seconds' && draws >= most
  const { drawn: _, ...rest } = game
  return { ...rest, done, draws, over }
}
