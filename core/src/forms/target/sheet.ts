import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The throws, and boxes for the points. */
export const targetSheet: FormSheet<PlayOf<'target'>> = {
  lines: (_, steps, said) => [...new Set(steps.filter((s) => s.kind === 'work').map(said))],
  record: { kind: 'points', boxes: (steps) => Math.max(...steps.map((s) => s.lap ?? 1)) },
}
