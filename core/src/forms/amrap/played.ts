import type { PlayOf } from '../../publication/playSchema.ts'
import type { Played } from '../../run/played.ts'

/** Rounds are tapped until the time is over. */
export const amrapPlayed: Played<PlayOf<'amrap'>> = { asOne: { clock: (play) => play.seconds } }
