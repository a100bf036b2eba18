import Papa from 'papaparse'
import { tableCell } from '@esfuerzo/core/table'
import type { Pupil } from '@esfuerzo/contract'
import type { Words } from '../../shared/words.ts'
import { columnLine } from './columnText.ts'
import type { Book } from './useBook.ts'

/** A grid as a table: one line of headings with units, then pupils by alias; missing values are empty. */
export interface Table {
  heads: string[]
  rows: (string | number | null)[][]
}

/** The values on screen, by alias. Impossible ones are left out. */
export function tableOf(book: Book, pupils: readonly Pupil[], t: Words): Table {
  const columns = book.columns.value
  return {
    heads: [t('book.alias'), ...columns.map((column) => columnLine(column, t))],
    rows: pupils.map(({ id, alias }) => [
      alias,
      ...columns.map(({ key }) => {
        const text = book.typedOf(id, key)?.state === 'refused' ? '' : book.textOf(id, key)
        return text === '' ? null : Number(text.replace(',', '.'))
      }),
    ]),
  }
}

/** RFC 4180, in UTF-8 with its mark, without formulas. */
export const csvOf = ({ heads, rows }: Table): string =>
  `\ufeff${Papa.unparse({ fields: heads.map(tableCell), data: rows.map((row) => row.map(tableCell)) }, { newline: '\r\n' })}\r\n`
