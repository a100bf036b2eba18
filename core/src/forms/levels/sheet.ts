import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The level that was reached. */
export const levelsSheet: FormSheet<PlayOf<'levels'>> = { record: { kind: 'level', boxes: () => 1 } }
