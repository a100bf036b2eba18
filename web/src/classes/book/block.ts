import Papa from 'papaparse'
import { formulaStart } from '@esfuerzo/core/table'

/** A block as it is pasted from a spreadsheet: rows of cells, quotes as spreadsheets write them. */
export function readBlock(text: string): string[][] {
  const { data } = Papa.parse<string[]>(text.replace(/\r?\n$/, ''), { delimiter: '\t' })
  return data
}

/** A block as a spreadsheet takes it. */
export const blockText = (block: readonly (readonly string[])[]): string =>
  Papa.unparse(block as string[][], { delimiter: '\t', newline: '\r\n', escapeFormulae: formulaStart })
