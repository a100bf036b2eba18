import { tossed } from './things.ts'
import type { ChanceModel, ChanceRow } from './model.ts'

/** A game played to its end; its draws are all that were started. */
export interface PlayedGame {
  seconds: number
  draws: number
}

/** Who listens while a game is played, and how the child is. */
interface Playing {
  /** How much longer this child takes for the next thing it ends itself. */
  slower?: () => number
  /** Called after each draw and its task with the progress of the game. */
  onDraw?: (game: PlayedGame) => void
  /** Called for each started task with the drawn number: how many things fell that way, or which of a suit's cards from 0. */
  onTask?: (row: ChanceRow, number: number) => void
}

/**
 * One game by the player's own rules: rows of a face are taken in turn; a card comes back only after the whole pack; if every row is to be
 * done once, a draw for a finished face costs its time and brings no task; a time limit cuts the current task.
 *
 * @param random from 0 up to 1
 */
export function playGame(
  model: ChanceModel,
  random: () => number,
  { slower = () => 1, onDraw, onTask }: Playing = {},
): PlayedGame {
  const { device, faces, stop, draw, changes } = model
  const called = faces.map(() => 0)
  const rows = faces.reduce((sum, face) => sum + face.rows.length, 0)
  let [seconds, draws, done, stance] = [0, 0, 0, 0]
  let pack: number[] = []
  const task = (row: ChanceRow | undefined, number: number) => {
    if (!row) return
    onTask?.(row, number)
    seconds += changes[stance]![row.stance]! * slower() + row.tasks[number]! * (row.clocked ? 1 : slower())
    stance = row.stance
    done++
  }
  const over = () =>
    stop.kind === 'seconds' ? seconds >= stop.seconds : stop.kind === 'cleared' ? done >= rows : draws >= stop.draws
  while (!over()) {
    if (draws) onDraw?.({ seconds, draws })
    seconds += draw
    draws++
    if (device === 'toss') {
      let left = 0
      for (let thing = 0; thing < 5; thing++) if (random() < 0.5) left++
      for (const [side, number] of [left, tossed - left].entries()) {
        const column = faces[side]!.rows
        if (number > 0) task(column[(draws - 1) % column.length], number)
      }
      continue
    }
    let [face, number] = [Math.floor(random() * faces.length), 0]
    if (device === 'cards') {
      if (pack.length === 0) pack = Array.from({ length: 13 * faces.length }, (_, card) => card)
      const at = Math.floor(random() * pack.length)
      const card = pack[at]!
      pack[at] = pack.at(-1)!
      pack.pop()
      face = Math.floor(card / 13)
      number = card % 13
    }
    const column = faces[face]!.rows
    const turn = called[face]!++
    task(stop.kind === 'cleared' ? column[turn] : column[turn % column.length], number)
  }
  onDraw?.({ seconds, draws })
  return { seconds: stop.kind === 'seconds' ? stop.seconds : seconds, draws }
}
