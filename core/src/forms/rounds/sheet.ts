import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The cap. */
export const roundsSheet: FormSheet<PlayOf<'rounds'>> = {
  block: ({ seconds }) => ({ cap: { seconds, asMany: false } }),
}
