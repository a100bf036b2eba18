import { strFromU8, strToU8 } from 'fflate'

/** Rows and cells of a sheet, with their start and end; names may have a prefix (ECMA-376, part 1, 18.3). */
const tags = /<(\/?)(?:\w+:)?(row|c)\b([^<>]*)>/g
const nameOf = /\br="([A-Z]*)(\d*)"/

/**
 * The number of a column by its letters.
 *
 * @example columnNumber('A') // 1
 * @example columnNumber('XFD') // 16384
 */
export const columnNumber = (letters: string): number =>
  [...letters].reduce((sum, letter) => sum * 26 + letter.charCodeAt(0) - 64, 0)

/**
 * A sheet without the cells outside its limits: a cell in the last row and column would make a table of seventeen billion cells. Nothing is
 * expanded into rows for that.
 *
 * @param xml a sheet's part of a workbook
 * @returns the sheet within its limits, and how many of its rows have cells, including those outside
 */
export function withoutStrayCells(
  xml: Uint8Array,
  bounds: { rows: number; columns: number },
): { xml: Uint8Array; rows: number } {
  const text = strFromU8(xml)
  const kept: string[] = []
  /** How far the text has been copied or skipped. */
  let at = 0
  /** The element being skipped, until it ends. */
  let leaving: 'row' | 'c' | undefined
  let row = 0
  let rows = 0
  let hasCells = false
  for (const match of text.matchAll(tags)) {
    const [tag, isEnd, name, attributes] = match as unknown as [string, string, 'row' | 'c', string]
    const isWhole = attributes.endsWith('/')
    const end = match.index + tag.length
    if (isEnd || isWhole) {
      if (leaving === name && isEnd) {
        leaving = undefined
        at = end
      }
      if (!isWhole) continue
    }
    const [, letters = '', digits = ''] = nameOf.exec(attributes) ?? []
    if (name === 'row') {
      row = digits ? Number(digits) : row + 1
      hasCells = false
    } else if (!hasCells) {
      hasCells = true
      rows++
    }
    const isOutside = name === 'row' ? row > bounds.rows : columnNumber(letters) > bounds.columns
    if (leaving || !isOutside) continue
    kept.push(text.slice(at, match.index))
    at = end
    if (!isWhole) leaving = name
  }
  if (!leaving) kept.push(text.slice(at))
  // A sheet's own statement of its size would be trusted.
  return { xml: strToU8(kept.join('').replace(/<(?:\w+:)?dimension\b[^<>]*>/g, '')), rows }
}
