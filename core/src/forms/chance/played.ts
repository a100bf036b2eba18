import type { PlayOf } from '../../publication/playSchema.ts'
import type { Played } from '../../run/played.ts'

/** The child draws until the sheet is done or the time is over. */
export const chancePlayed: Played<PlayOf<'chance'>> = {
  asOne: {
    clock: ({ stop }) => (stop.kind === 'seconds' ? stop.most : undefined),
    params: ({ device }) => ({ text: device }),
  },
}
