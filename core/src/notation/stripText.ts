/**
 * What of a note, a target or a rule a text says: its lines without spaces at their ends or round the whole.
 *
 * @returns undefined where nothing is left
 */
export const stripText = (text: string | undefined): string | undefined =>
  text
    ?.split('\n')
    .map((line) => line.trimEnd())
    .join('\n')
    .trim() || undefined
