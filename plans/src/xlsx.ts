import { zipSync } from 'fflate'
import type { PlanBlock } from '@esfuerzo/core/oldPlans'
import { planBounds, refused } from './bounds.ts'
import { cellText } from './sheets.ts'
import { withoutStrayCells } from './strayCells.ts'
import { withoutEntities } from './xml.ts'

/** The parts of a workbook that its cells come from. */
export const xlsxParts =
  /^(?:\[Content_Types\]\.xml|_rels\/\.rels|xl\/(?:workbook|sharedStrings|styles)\.xml|xl\/_rels\/workbook\.xml\.rels|xl\/worksheets\/[^/]+\.xml)$/

/** Default sheet names of spreadsheet programs. */
const unnamed = /^(?:sheet|tabelle|hoja|feuil|blatt|planilha|foglio|table)\s?\d*$/i

const filledIn = (row: readonly string[]): string[] => row.filter((cell) => cell.trim())

/** Rows of a sheet as pieces: rows with one cell before a table are lines; a table ends where a title or its heading comes again. */
export function blocksOfRows(rows: readonly string[][]): PlanBlock[] {
  const blocks: PlanBlock[] = []
  let table: string[][] = []
  let empty = false
  const end = () => {
    if (table.length) blocks.push({ kind: 'table', rows: table })
    table = []
  }
  for (const row of rows) {
    const filled = filledIn(row)
    if (filled.length === 0) {
      empty = true
      continue
    }
    const begins = filled.length === 1 || row.join('\u0000') === table[0]?.join('\u0000')
    if (empty && begins) end()
    if (filled.length === 1 && !table.length) blocks.push({ kind: 'line', text: filled[0]! })
    else table.push([...row])
    empty = false
  }
  end()
  return blocks
}

/** A sheet within a plan's limits. @throws {ProblemError} `file-too-big` if more rows are used than a plan has */
function bounded(sheet: Uint8Array, name: string): Uint8Array {
  const { xml, rows } = withoutStrayCells(sheet, planBounds)
  if (rows > planBounds.rows)
    throw refused('file-too-big', name, {
      expected: { atMost: planBounds.rows, of: 'lines' },
      received: { count: rows, of: 'lines' },
    })
  return xml
}

/**
 * The sheets of a workbook (ECMA-376), each under its name if somebody named it.
 *
 * @throws {ProblemError} `file-broken`, `file-too-big`
 */
export async function sheetsOfXlsx(parts: ReadonlyMap<string, Uint8Array>, name: string): Promise<PlanBlock[][]> {
  const small = zipSync(
    Object.fromEntries(
      [...parts].map(([part, bytes]) => {
        const plain = withoutEntities(bytes, name)
        return [part, part.startsWith('xl/worksheets/') ? bounded(plain, name) : plain]
      }),
    ),
  )
  const { default: readSheets } = await import('read-excel-file/universal')
  let sheets
  try {
    sheets = await readSheets(small.buffer as ArrayBuffer)
  } catch (cause) {
    throw refused('file-broken', name, { cause })
  }
  return sheets.flatMap(({ sheet, data }) => {
    const rows = data.map((row) => row.slice(0, planBounds.columns).map(cellText))
    const blocks = blocksOfRows(rows)
    if (!blocks.length) return []
    return [unnamed.test(sheet) ? blocks : [{ kind: 'heading', level: 1, text: sheet } satisfies PlanBlock, ...blocks]]
  })
}
