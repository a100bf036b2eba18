/** A stretch of a line: its words and their start, from 0. */
export interface Piece {
  text: string
  at: number
}

/** What is before brackets, and what each pair of brackets says for whom. */
export interface Segment {
  base: Piece
  own: { group: Piece; says: Piece }[]
}

/**
 * Splits a line at its commas, semicolons and middle dots, each piece with its own brackets. An unclosed bracket runs to the end of the
 * line; commas inside brackets do not split.
 *
 * @param cuts the characters to split at
 * @example segments('30/30 [2-3: 30/25], lap rest 60', ',')
 * // [{ base: '30/30', own: [{ group: '2-3', says: '30/25' }] }, { base: 'lap rest 60', own: [] }], each with its place
 */
export function segments(line: string, cuts: string): Segment[] {
  const result: Segment[] = []
  let segment: Segment = { base: { text: '', at: 0 }, own: [] }
  let start = 0
  let from = 0
  const trimmed = (a: number, b: number): Piece => {
    const text = line.slice(a, b)
    return { text: text.trim(), at: a + (text.length - text.trimStart().length) }
  }
  const endBase = (to: number) => {
    if (from >= 0 && to > from) {
      const piece = trimmed(from, to)
      if (segment.base.text === '' && segment.own.length === 0) segment.base = piece
      else if (piece.text) segment.base = { text: `${segment.base.text} ${piece.text}`.trim(), at: segment.base.at }
    }
  }
  const endSegment = (to: number) => {
    endBase(to)
    if (segment.base.text || segment.own.length) result.push(segment)
    segment = { base: { text: '', at: to + 1 }, own: [] }
  }
  let inQuotes = false
  for (let i = 0; i < line.length; i++) {
    const c = line[i]!
    if (c === '"') inQuotes = !inQuotes
    if (inQuotes) continue
    if (c === '[') {
      endBase(i)
      let depth = 1
      start = i + 1
      for (let quotes = false; ++i < line.length && depth > 0;) {
        if (line[i] === '"') quotes = !quotes
        if (!quotes) depth += line[i] === '[' ? 1 : line[i] === ']' ? -1 : 0
      }
      const end = depth === 0 ? i - 1 : line.length
      const colon = line.indexOf(':', start)
      const split = colon >= 0 && colon < end ? colon : end
      segment.own.push({ group: trimmed(start, split), says: trimmed(Math.min(split + 1, end), end) })
      i--
      from = i + 1
    } else if (cuts.includes(c)) {
      endSegment(i)
      from = i + 1
    }
  }
  endSegment(line.length)
  return result
}
