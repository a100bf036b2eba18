import type { PlayOf } from '../../publication/playSchema.ts'
import type { Played } from '../../run/played.ts'

/** A question takes as long as the child thinks. */
export const quizPlayed: Played<PlayOf<'quiz'>> = { answered: ['talk'], saysItself: true }
