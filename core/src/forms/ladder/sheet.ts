import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The rungs give the number and how often it comes. */
export const ladderSheet: FormSheet<PlayOf<'ladder'>> = {
  noDose: () => true,
  goneThroughOnce: true,
  lines: ({ rungs }) => [rungs.join(' · ')],
}
