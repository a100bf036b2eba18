import type { PlayOf } from '../../publication/playSchema.ts'
import type { FormSheet } from '../../sheets/formSheet.ts'

/** That two take turns. */
export const relaySheet: FormSheet<PlayOf<'relay'>> = {
  lines: (_, steps, said) =>
    steps
      .filter((s) => s.say.code === 'relay.change')
      .map(said)
      .slice(0, 1),
}
