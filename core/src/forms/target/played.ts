import type { PlayOf } from '../../publication/playSchema.ts'
import type { Played } from '../../run/played.ts'

/** A round of throws takes as long as it takes. */
export const targetPlayed: Played<PlayOf<'target'>> = { answered: ['work'] }
