import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** Each row once, the cap, and a box for the rounds. */
export const amrapSheet: FormSheet<PlayOf<'amrap'>> = {
  once: true,
  block: ({ seconds }) => ({ cap: { seconds, asMany: true } }),
  record: { kind: 'rounds', boxes: () => 1 },
}
