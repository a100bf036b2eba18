/**
 * A text for comparing: lower case and without accents.
 *
 * @example foldText('Circuito RÁPIDO') // 'circuito rapido'
 */
export const foldText = (text: string): string => text.normalize('NFD').replace(/\p{M}/gu, '').toLowerCase()

/**
 * A text's words for comparing: as `foldText`, with anything but letters and digits as single spaces.
 *
 * @example foldWords(' Captain’s  Orders! ') // 'captain s orders'
 */
export const foldWords = (text: string): string =>
  foldText(text)
    .replace(/[^\p{L}\p{N}]+/gu, ' ')
    .trim()
