import type { SheetData } from 'write-excel-file/universal'

/** A table with one line of headings; a missing cell is empty. */
export interface ExcelTable {
  heads: readonly string[]
  rows: readonly (readonly (string | number | null)[])[]
}

/** An Excel file: texts as texts and numbers as numbers, so that nothing is a formula. */
export async function excelOf({ heads, rows }: ExcelTable): Promise<Blob> {
  const { default: writeExcel } = await import('write-excel-file/universal')
  const head = heads.map((value) => ({ value, type: String, fontWeight: 'bold' as const }))
  const body = rows.map((row) =>
    row.map((value) =>
      value === null || value === ''
        ? null
        : typeof value === 'number'
          ? { value, type: Number }
          : { value, type: String },
    ),
  )
  return writeExcel([head, ...body] as SheetData, { stickyRowsCount: 1, stickyColumnsCount: 1 }).toBlob()
}
