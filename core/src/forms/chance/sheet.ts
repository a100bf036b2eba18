import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** The table, and how long to go on drawing. */
export const chanceSheet: FormSheet<PlayOf<'chance'>> = {
  turns: ({ table }) => table.flatMap((face) => face.turns),
  once: true,
  noDose: ({ device }) => device === 'cards' || device === 'toss',
  block: ({ device, stop }) => ({ chance: { device, stop } }),
}
