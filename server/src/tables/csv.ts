import { setImmediate } from 'node:timers/promises'
import Papa from 'papaparse'
import { tableCell } from '@esfuerzo/core/table'

/**
 * Lines of a table: RFC 4180; text that looks like a formula stays text in a spreadsheet. No line end after the last.
 *
 * @param head whether the column names come first
 * @example csvLines(['a', 'b'], [{ b: '=1', a: 'x, y' }]) // 'a,b\r\n"x, y",\'=1'
 */
export const csvLines = (columns: readonly string[], rows: readonly object[], head = true): string =>
  Papa.unparse(
    {
      fields: [...columns],
      data: rows.map((row) => columns.map((name) => tableCell((row as Record<string, unknown>)[name]))),
    },
    { header: head, newline: '\r\n' },
  )

/** Lines made in one go (ours): a run may have five hundred. */
const atOnce = 100

/** A table in pieces: its heading, then the lines of each of `parts`, which may be empty. */
export async function* csvPieces(
  columns: readonly string[],
  parts: AsyncIterable<readonly object[]>,
): AsyncGenerator<string> {
  yield csvLines(columns, [Object.fromEntries(columns.map((c) => [c, c]))], false)
  for await (const rows of parts)
    for (let from = 0; from < rows.length; from += atOnce) {
      yield `\r\n${csvLines(columns, rows.slice(from, from + atOnce), false)}`
      // Others come in between.
      await setImmediate()
    }
}
