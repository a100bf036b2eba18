import { amrapPlayed } from '../forms/amrap/played.ts'
import { chancePlayed } from '../forms/chance/played.ts'
import { quizPlayed } from '../forms/quiz/played.ts'
import { roundsPlayed } from '../forms/rounds/played.ts'
import { targetPlayed } from '../forms/target/played.ts'
import type { Play, PlayOf } from '../publication/playSchema.ts'
import type { Played } from './played.ts'

/** How each played form is played; the others run by their steps. */
const formPlayed: { [F in Play['form']]?: Played<PlayOf<F>> } = {
  amrap: amrapPlayed,
  chance: chancePlayed,
  quiz: quizPlayed,
  rounds: roundsPlayed,
  target: targetPlayed,
}

/** How a block is played; undefined if there is nothing to say. */
export const playedOf = (play: Play | undefined): Played<Play> =>
  (play && (formPlayed[play.form] as Played<Play> | undefined)) ?? {}
