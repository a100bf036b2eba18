import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** What is measured, and how often. */
export const measureSheet: FormSheet<PlayOf<'measure'>> = {
  lines: (_, steps, said) => steps.map(said),
  trials: ({ trials }) => trials,
}
