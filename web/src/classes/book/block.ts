import Papa from 'papaparse'
import { formulaStart } from '@esfuerzo/core/table'

/** A block pasted from a spreadsheet: rows of cells, with its quotes. */
export function readBlock(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' })
  return data
}

/** A block in the form a spreadsheet accepts. */
export const blockText = (block: readonly (readonly string[])[]): string =>
  Papa.unparse(block as string[][], { delimiter: '\t', newline: '\r\n', escapeFormulae: formulaStart })
