import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** How it is set up, its rules, and how to make it harder. */
export const gameSheet: FormSheet<PlayOf<'game'>> = {
  turns: ({ onMiss }) => (onMiss ? [onMiss] : []),
  lines: ({ setUp, rules, harder }) => [setUp, rules, ...harder.map((line) => `+ ${line}`)].filter(Boolean),
}
