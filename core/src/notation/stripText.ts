/**
 * What a text keeps of a note, a target or a rule: its lines, trimmed.
 *
 * @returns undefined if nothing is left
 */
export const stripText = (text: string | undefined): string | undefined =>
  text
    ?.split('\n')
    .map((line) => line.trimEnd())
    .join('\n')
    .trim() || undefined
