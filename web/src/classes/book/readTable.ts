import { cellText, decoded, separated, withoutStrayCells } from '@esfuerzo/plans/table'

/** A table as written: rows of cells as text. */
export type TableRows = string[][]

/** Why a file cannot be read as a table. */
export type TableProblem = 'empty' | 'too-big' | 'old-excel' | 'other-zip' | 'not-a-table' | 'broken'

export class TableError extends Error {
  readonly code: TableProblem

  constructor(code: TableProblem, cause?: unknown) {
    super(code, { cause })
    this.name = 'TableError'
    this.code = code
  }
}

/** Limits of a table that a class could have made (ours). */
export const tableBounds = { bytes: 2 * 1024 * 1024, unpacked: 24 * 1024 * 1024, rows: 2000, columns: 400 } as const

const starts = (bytes: Uint8Array, ...head: number[]) => head.every((byte, i) => bytes[i] === byte)

/**
 * A table from a file: Excel, or text in any encoding and with any separator.
 *
 * @throws {TableError} if it cannot be read
 */
export async function readTable(data: ArrayBuffer): Promise<TableRows> {
  const bytes = new Uint8Array(data)
  if (bytes.length > tableBounds.bytes) throw new TableError('too-big')
  // https://www.rfc-editor.org/rfc/rfc4180 has no signature; Office files from before 2007 and encrypted ones start like this.
  if (starts(bytes, 0xd0, 0xcf, 0x11, 0xe0)) throw new TableError('old-excel')
  const rows = starts(bytes, 0x50, 0x4b) ? await readExcel(bytes) : readText(decoded(bytes))
  const told = rows.map((row) => row.map((cell) => cell.trim())).filter((row) => row.some(Boolean))
  if (!told.length) throw new TableError('empty')
  if (rows.length > tableBounds.rows || rows.some((row) => row.length > tableBounds.columns))
    throw new TableError('too-big')
  return told
}

/** Text with a separator: a file with zero bytes is none. */
export function readText(text: string): TableRows {
  if (text.includes('\u0000')) throw new TableError('not-a-table')
  return separated(text)
}

async function readExcel(bytes: Uint8Array): Promise<TableRows> {
  const { unzipSync, zipSync } = await import('fflate')
  const names: string[] = []
  let unpacked = 0
  try {
    // Reads the directory and unpacks nothing: a bomb is recognized by its stated size.
    unzipSync(bytes, {
      filter: ({ name, originalSize }) => {
        names.push(name)
        unpacked += originalSize
        return false
      },
    })
  } catch (error) {
    throw new TableError('broken', error)
  }
  if (unpacked > tableBounds.unpacked || names.length > 500) throw new TableError('too-big')
  if (!names.includes('xl/workbook.xml')) throw new TableError('other-zip')
  const { default: readSheets } = await import('read-excel-file/universal')
  try {
    const parts = Object.entries(unzipSync(bytes)).map(([name, part]): [string, Uint8Array] => {
      if (!name.startsWith('xl/worksheets/')) return [name, part]
      const { xml, rows } = withoutStrayCells(part, tableBounds)
      if (rows > tableBounds.rows) throw new TableError('too-big')
      return [name, xml]
    })
    const sheets = await readSheets(zipSync(Object.fromEntries(parts), { level: 0 }).buffer as ArrayBuffer)
    // The sheet with the most cells: not a cover sheet.
    const filled = sheets.map(({ data }) => data.map((row) => row.map(cellText)))
    return filled.sort((a, b) => cellsIn(b) - cellsIn(a))[0] ?? []
  } catch (error) {
    throw error instanceof TableError ? error : new TableError('broken', error)
  }
}

const cellsIn = (rows: TableRows) => rows.flat().filter(Boolean).length
