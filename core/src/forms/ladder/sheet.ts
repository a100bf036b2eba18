import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The rungs say how many, and how often. */
export const ladderSheet: FormSheet<PlayOf<'ladder'>> = {
  noDose: () => true,
  goneThroughOnce: true,
  lines: ({ rungs }) => [rungs.join(' · ')],
}
