import Papa from 'papaparse'

/** A table as it was written: rows of cells as text. */
export type TableRows = string[][]

/** Why a file is no table that can be read. */
export type TableProblem = 'empty' | 'too-big' | 'old-excel' | 'other-zip' | 'not-a-table' | 'broken'

export class TableError extends Error {
  readonly code: TableProblem

  constructor(code: TableProblem, cause?: unknown) {
    super(code, { cause })
    this.name = 'TableError'
    this.code = code
  }
}

/** Bounds of a table that a class could have made (ours). */
export const tableBounds = { bytes: 2 * 1024 * 1024, unpacked: 24 * 1024 * 1024, rows: 2000, columns: 400 } as const

const starts = (bytes: Uint8Array, ...head: number[]) => head.every((byte, i) => bytes[i] === byte)

/**
 * A table from a file: Excel, or text in whatever encoding and with whatever separator.
 *
 * @throws {TableError} where nothing can be made of it
 */
export async function readTable(data: ArrayBuffer): Promise<TableRows> {
  const bytes = new Uint8Array(data)
  if (bytes.length > tableBounds.bytes) throw new TableError('too-big')
  // https://www.rfc-editor.org/rfc/rfc4180 has no sign of its own; Office files of before 2007 and encrypted ones begin like this.
  if (starts(bytes, 0xd0, 0xcf, 0x11, 0xe0)) throw new TableError('old-excel')
  const rows = starts(bytes, 0x50, 0x4b) ? await readExcel(bytes) : readText(decoded(bytes))
  const told = rows.map((row) => row.map((cell) => cell.trim())).filter((row) => row.some(Boolean))
  if (!told.length) throw new TableError('empty')
  if (rows.length > tableBounds.rows || rows.some((row) => row.length > tableBounds.columns))
    throw new TableError('too-big')
  return told
}

/** Bytes as text: by their mark, else as UTF-8 where they can be, as UTF-16 where every other is empty, else as Windows-1252. */
export function decoded(bytes: Uint8Array): string {
  if (starts(bytes, 0xef, 0xbb, 0xbf)) return new TextDecoder('utf-8').decode(bytes)
  if (starts(bytes, 0xff, 0xfe)) return new TextDecoder('utf-16le').decode(bytes)
  if (starts(bytes, 0xfe, 0xff)) return new TextDecoder('utf-16be').decode(bytes)
  const sample = bytes.subarray(0, 400)
  const empty = [0, 1].map((side) => sample.filter((byte, i) => i % 2 === side && byte === 0).length)
  if (empty[1]! > sample.length / 4) return new TextDecoder('utf-16le').decode(bytes)
  if (empty[0]! > sample.length / 4) return new TextDecoder('utf-16be').decode(bytes)
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** Text with a separator: the one that gives most lines the same number of cells. */
export function readText(text: string): TableRows {
  if (text.includes('\u0000')) throw new TableError('not-a-table')
  const body = text.replace(/^\ufeff/, '')
  // Spreadsheets say their separator in a first line of its own.
  const said = /^sep=(.)\r?\n/i.exec(body)
  const rest = said ? body.slice(said[0].length) : body
  const tried = said ? [said[1]!] : ['\t', ';', ',', '|']
  const read = tried.map((delimiter) => Papa.parse<string[]>(rest, { delimiter, skipEmptyLines: 'greedy' }).data)
  return read.sort((a, b) => evenness(b) - evenness(a))[0] ?? []
}

/** How many cells stand in lines as long as most are; a separator that is nowhere separates nothing. */
function evenness(rows: TableRows): number {
  const lengths = new Map<number, number>()
  for (const { length } of rows) lengths.set(length, (lengths.get(length) ?? 0) + 1)
  const [[length = 0, count = 0] = []] = [...lengths].sort(([, a], [, b]) => b - a)
  return (length - 1) * count
}

async function readExcel(bytes: Uint8Array): Promise<TableRows> {
  const { unzipSync } = await import('fflate')
  const names: string[] = []
  let unpacked = 0
  try {
    // Looks at what is in it and unpacks nothing: a bomb is known by what it says it comes to.
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
    const sheets = await readSheets(bytes.slice().buffer)
    // The sheet with most in it: a cover sheet is not meant.
    const filled = sheets.map(({ data }) => data.map((row) => row.map(cellText)))
    return filled.sort((a, b) => cellsIn(b) - cellsIn(a))[0] ?? []
  } catch (error) {
    throw new TableError('broken', error)
  }
}

const cellsIn = (rows: TableRows) => rows.flat().filter(Boolean).length

function cellText(cell: unknown): string {
  if (cell === null || cell === undefined) return ''
  if (cell instanceof Date) return cell.toISOString().slice(0, 10)
  // As a calculator would show it: what arithmetic left behind is nobody's value.
  if (typeof cell === 'number') return String(Number(cell.toPrecision(12)))
  return typeof cell === 'string' || typeof cell === 'boolean' ? String(cell) : ''
}
