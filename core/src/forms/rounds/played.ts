import type { PlayOf } from '../../publication/playSchema.ts'
import type { Played } from '../../run/played.ts'

/** Nobody continues past the cap. */
export const roundsPlayed: Played<PlayOf<'rounds'>> = { cap: (play) => play.seconds }
