import type { PlayOf } from '../../publication/playSchema.ts'
import type { Played } from '../../run/played.ts'

/** A round of throws has no fixed length. */
export const targetPlayed: Played<PlayOf<'target'>> = { answered: ['work'] }
