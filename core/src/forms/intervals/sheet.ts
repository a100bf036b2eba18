import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** How many are picked. */
export const intervalsSheet: FormSheet<PlayOf<'intervals'>> = { block: ({ pick }) => ({ pick }) }
