import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** Rows once each, the cap, and the rounds to write down. */
export const amrapSheet: FormSheet<PlayOf<'amrap'>> = {
  once: true,
  block: ({ seconds }) => ({ cap: { seconds, asMany: true } }),
  record: { kind: 'rounds', boxes: () => 1 },
}
