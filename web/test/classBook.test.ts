import { strToU8, zipSync } from 'fflate'
import fc from 'fast-check'
import Papa from 'papaparse'
import writeExcel from 'write-excel-file/universal'
import { describe, expect, it } from 'vitest'
import { byAlias, matchTable, proposedAliases, readCells, type BookColumn } from '@esfuerzo/core/classBook'
import { blockText, readBlock } from '../src/classes/book/block.ts'
import { columnLine, columnName, columnNth } from '../src/classes/book/columnText.ts'
import { readTable, readText, TableError, tableBounds, type TableRows } from '../src/classes/book/readTable.ts'
import { area, at, lead, placeBlock, places, type Selection } from '../src/classes/book/selection.ts'
import { excelOf } from '@esfuerzo/plans/write'
import { csvOf } from '../src/classes/book/tableOut.ts'
import { i18n } from '../src/words/i18n.ts'

const t = (key: string, params?: Record<string, unknown>) => i18n.global.t(key, params ?? {})
const size = { rows: 24, columns: 6 }
const press = (from: Selection, ...keys: (string | { key: string; shift?: boolean; ctrl?: boolean })[]) =>
  keys.reduce((now, key) => lead(now, typeof key === 'string' ? { key } : key, size) ?? now, from)

describe('where keys lead', () => {
  it('along the row by Tab, and by Enter one below where the row was started', () => {
    expect(press(at(3, 1), 'Tab', 'Tab', 'Enter').active).toEqual({ row: 4, column: 1 })
    expect(press(at(3, 1), 'Tab', 'ArrowLeft', 'Enter').active).toEqual({ row: 4, column: 1 })
    expect(press(at(3, 1), 'Tab', 'ArrowRight', 'Enter').active).toEqual({ row: 4, column: 3 })
    expect(press(at(23, 0), 'Tab', 'Enter').active).toEqual({ row: 23, column: 1 })
    expect(press(at(3, 1), { key: 'Enter', shift: true }).active).toEqual({ row: 2, column: 1 })
  })

  it('out of the grid by Tab at its edges, and nowhere by other keys', () => {
    expect(lead(at(0, 5), { key: 'Tab' }, size)).toBeUndefined()
    expect(lead(at(0, 0), { key: 'Tab', shift: true }, size)).toBeUndefined()
    expect(lead(at(0, 0), { key: 'x' }, size)).toBeUndefined()
  })

  it('never past the grid, whatever is pressed', () => {
    const key = fc.record({
      key: fc.constantFrom(
        'ArrowUp',
        'ArrowDown',
        'ArrowLeft',
        'ArrowRight',
        'Home',
        'End',
        'PageUp',
        'PageDown',
        'Enter',
        'Tab',
      ),
      shift: fc.boolean(),
      ctrl: fc.boolean(),
    })
    fc.assert(
      fc.property(fc.array(key, { maxLength: 40 }), (keys) => {
        const { active, anchor } = press(at(5, 2), ...keys)
        for (const { row, column } of [active, anchor]) {
          expect(row >= 0 && row < size.rows && column >= 0 && column < size.columns).toBe(true)
        }
      }),
    )
  })

  it('select with Shift, a block from corner to corner', () => {
    const selection = press(at(2, 2), { key: 'ArrowDown', shift: true }, { key: 'ArrowRight', shift: true })
    expect(area(selection)).toEqual({ top: 2, left: 2, bottom: 3, right: 3 })
    expect(places(selection)).toHaveLength(4)
    expect(area(press(at(2, 2), { key: 'End', shift: true, ctrl: true }))).toMatchObject({ bottom: 23, right: 5 })
  })
})

describe('a pasted block', () => {
  it('goes from the corner on; cells outside are counted, and nothing else is lost', () => {
    const { placed, outside } = placeBlock(
      [
        ['1', '2'],
        ['3', '4'],
      ],
      at(23, 4),
      size,
    )
    expect(placed).toEqual([
      { row: 23, column: 4, text: '1' },
      { row: 23, column: 5, text: '2' },
    ])
    expect(outside).toBe(2)
  })

  it('of one cell fills the selection; a row that fits fills every row', () => {
    const selection = { ...at(0, 0), active: { row: 2, column: 1 } }
    expect(placeBlock([['7']], selection, size).placed).toHaveLength(6)
    expect(placeBlock([['7', '8']], selection, size).placed.map((p) => p.text)).toEqual(['7', '8', '7', '8', '7', '8'])
    expect(placeBlock([], selection, size).placed).toEqual([])
  })

  it('is read as spreadsheets write it, and written the same way', () => {
    expect(readBlock('1\t2\r\n"a ""b"""\t\r\n')).toEqual([
      ['1', '2'],
      ['a "b"', ''],
    ])
    const cells = fc.array(fc.array(fc.string({ minLength: 1 }), { minLength: 2, maxLength: 4 }), {
      minLength: 1,
      maxLength: 5,
    })
    fc.assert(
      fc.property(
        cells.filter((rows) =>
          rows.every(
            (r) => r.length === rows[0]!.length && r.every((c) => !/^[=+\-@\t\r]/.test(c) && !/[\r\n]/.test(c)),
          ),
        ),
        (rows) => {
          expect(readBlock(blockText(rows))).toEqual(rows)
        },
      ),
    )
  })
})

const column = (more: Partial<BookColumn> & { key: string }): BookColumn => ({
  what: 'result',
  kind: 'station',
  block: 'b',
  name: 'Squat jump',
  part: 'Main part',
  unit: 'reps',
  nth: 1,
  of: 1,
  ...more,
})
const columns: BookColumn[] = [
  column({ key: 'j1', nth: 1, of: 2, seconds: 30 }),
  column({ key: 'j2', nth: 2, of: 2, seconds: 30 }),
  column({ key: 'p1', name: 'Plank', unit: 'seconds' }),
  column({ key: 'kg', kind: 'weight', what: 'weight', name: 'Plank', unit: 'kg' }),
  column({ key: 'felt', what: 'felt', kind: 'felt', name: '', unit: 'ten' }),
]
const named = columns.map((c) => ({
  column: c,
  name: columnName(c, t),
  nth: columnNth(c, t),
  line: columnLine(c, t),
  ...(c.kind === 'felt' && { also: t('table.alsoFelt').split(', ') }),
}))
const random = (seed: number) => {
  let state = seed
  return () => (state = (state * 16_807) % 2_147_483_647) / 2_147_483_647
}
const pupils = proposedAliases(24, [], random(5))
  .sort(byAlias)
  .map((alias, i) => ({ id: `p${i}`, alias }))

/** Each pupil's values as they are meant, by the column's key; sometimes there is none. */
function meant(next: () => number): Map<string, Map<string, number>> {
  return new Map(
    pupils.map(({ id }) => {
      const own = columns.flatMap(({ key, unit }): [string, number][] => {
        if (next() < 0.1) return []
        if (unit === 'kg') return [[key, Math.round(next() * 40) / 4]]
        return [[key, Math.floor(next() * (unit === 'ten' ? 11 : 40))]]
      })
      return [id, new Map(own)]
    }),
  )
}

/** Windows-1252 as bytes. Its characters between 0x80 and 0x9f are left out: Node 20 decodes them as Latin-1, browsers correctly. */
const windows1252 = (text: string) => Uint8Array.from([...text.replaceAll('–', '-')], (sign) => sign.charCodeAt(0))
const utf16 = (text: string, little: boolean, mark: boolean) => {
  const units = [...(mark ? '\ufeff' : ''), ...text].map((sign) => sign.charCodeAt(0))
  return Uint8Array.from(units.flatMap((unit) => (little ? [unit & 255, unit >> 8] : [unit >> 8, unit & 255])))
}

/** The odd layouts of spreadsheets. */
interface Shape {
  separator: ',' | ';' | '\t' | '|'
  encoding: 'utf8' | 'utf8-mark' | 'utf16le' | 'utf16be' | 'utf16le-bare' | 'windows'
  ends: '\n' | '\r\n'
  heads: 'one line' | 'two lines' | 'merged' | 'repeated'
  comma: boolean
  title: boolean
  sep: boolean
  sums: boolean
  blank: boolean
  shuffled: boolean
  extra: 'none' | 'date' | 'remark'
  absent: string
  upper: boolean
  excel: boolean
}
const shape: fc.Arbitrary<Shape> = fc.record({
  separator: fc.constantFrom(',', ';', '\t', '|'),
  encoding: fc.constantFrom('utf8', 'utf8-mark', 'utf16le', 'utf16be', 'utf16le-bare', 'windows'),
  ends: fc.constantFrom('\n', '\r\n'),
  heads: fc.constantFrom('one line', 'two lines', 'merged', 'repeated'),
  comma: fc.boolean(),
  title: fc.boolean(),
  sep: fc.boolean(),
  sums: fc.boolean(),
  blank: fc.boolean(),
  shuffled: fc.boolean(),
  extra: fc.constantFrom('none', 'date', 'remark'),
  absent: fc.constantFrom('', '-', '–', 'x', 'n/a'),
  upper: fc.boolean(),
  excel: fc.boolean(),
})

function headsOf({ heads, upper }: Shape): string[][] {
  const said = (text: string) => (upper ? text.toUpperCase() : text)
  const lines = {
    'one line': [['Alias', ...named.map((n) => said(n.line))]],
    'two lines': [
      ['', ...named.map((n) => said(n.name))],
      ['Name', ...named.map((n) => n.nth || (n.column.kind === 'felt' ? 'of 10' : 'total'))],
    ],
    merged: [
      ['', 'Squat jump', '', said(named[2]!.name), said(named[3]!.name), said('Felt')],
      ['Pupil', '1', '2', '', '', ''],
    ],
    repeated: [['Alias', 'Squat jump', 'Squat jump', 'Plank', 'Plank, weight', 'Effort']],
  }
  return lines[heads]
}

/** A table with given values, in an odd layout. */
function tableIn(shape: Shape, values: ReturnType<typeof meant>, next: () => number): string[][] {
  const order = shape.shuffled ? [...pupils].sort(() => next() - 0.5) : pupils
  const number = (n: number | undefined) =>
    n === undefined ? shape.absent : shape.comma && shape.separator !== ',' ? String(n).replace('.', ',') : String(n)
  const rows = order.map(({ id, alias }) => [
    shape.upper ? ` ${alias.toUpperCase()}` : alias,
    ...columns.map(({ key }) => number(values.get(id)!.get(key))),
  ])
  const wide = (row: string[], i: number, head: boolean) =>
    shape.extra === 'none'
      ? row
      : [
          row[0]!,
          head
            ? i === 0
              ? shape.extra === 'date'
                ? 'Date'
                : 'Remark'
              : ''
            : shape.extra === 'date'
              ? '2026-11-12'
              : 'café',
          ...row.slice(1),
        ]
  return [
    ...(shape.title ? [['Results of class 4 – autumn']] : []),
    ...headsOf(shape).map((row, i) => wide(row, i, true)),
    ...rows.map((row, i) => wide(row, i, false)),
    ...(shape.blank ? [['']] : []),
    ...(shape.sums
      ? [
          wide(['', '240', '231', '300', '12', '90'], 1, false).map((cell, i) =>
            shape.extra !== 'none' && i === 1 ? '' : cell,
          ),
        ]
      : []),
  ]
}

async function bytesOf(shape: Shape, table: string[][]): Promise<Uint8Array> {
  if (shape.excel) {
    const width = Math.max(...table.map((row) => row.length))
    const cells = table.map((row) =>
      Array.from({ length: width }, (_, i) => {
        const text = row[i] ?? ''
        if (text === '') return null
        return /^\d+(\.\d+)?$/.test(text) ? { value: Number(text), type: Number } : { value: text, type: String }
      }),
    )
    const blob = await writeExcel(cells as never).toBlob()
    return new Uint8Array(await blob.arrayBuffer())
  }
  const body = Papa.unparse(table, { delimiter: shape.separator, newline: shape.ends })
  const text = `${shape.sep ? `sep=${shape.separator}${shape.ends}` : ''}${body}`
  const encoded = {
    utf8: () => strToU8(text),
    'utf8-mark': () => strToU8(`\ufeff${text}`),
    utf16le: () => utf16(text, true, true),
    utf16be: () => utf16(text, false, true),
    'utf16le-bare': () => utf16(text, true, false),
    windows: () => windows1252(text),
  }
  return encoded[shape.encoding]()
}
const bufferOf = (bytes: Uint8Array) => bytes.slice().buffer

function cellsOf(rows: TableRows) {
  const match = matchTable(rows, named, pupils)
  return { match, ...(match ? readCells(rows, match, columns, pupils) : { cells: [], problems: [] }) }
}

describe('spreadsheets', () => {
  it('in two hundred odd layouts are read correctly', async () => {
    await fc.assert(
      fc.asyncProperty(shape, fc.integer({ min: 1, max: 1e6 }), async (shape, seed) => {
        const next = random(seed)
        const values = meant(next)
        const { cells, problems } = cellsOf(
          await readTable(bufferOf(await bytesOf(shape, tableIn(shape, values, next)))),
        )
        expect(problems).toEqual([])
        const read = cells.map(({ pupil, column: key, text }) => [pupil, key, Number(text.replace(',', '.'))].join())
        const all = [...values].flatMap(([id, own]) => [...own].map(([key, value]) => [id, key, value].join()))
        expect(read.sort()).toEqual(all.sort())
      }),
      { numRuns: 200 },
    )
  }, 900_000)

  it('report by line what cannot be read, and ignore nothing silently', () => {
    const rows = [
      ['Alias', ...named.map((n) => n.line)],
      ['Stranger 1', '1', '1', '1', '1', '1'],
      [pupils[0]!.alias, '12', 'twelve', '1.5', '2026-05-12', '11'],
      [pupils[0]!.alias, '13', '', '', '', ''],
      ['', '5', '', '', '', ''],
      [pupils[1]!.alias, '900', '', '', '21', ''],
      ['', '90', '80', '', '', ''],
    ]
    const { cells, problems } = cellsOf(rows)
    expect(problems.map((p) => [p.line, p.code === 'value' ? p.problem.code : p.code])).toEqual([
      [2, 'unknown-alias'],
      [3, 'not-a-number'],
      [3, 'not-a-number'],
      [3, 'too-large'],
      [4, 'alias-twice'],
      [5, 'no-alias'],
      [6, 'too-large'],
      [6, 'too-large'],
    ])
    expect(cells.map((c) => c.text)).toEqual(['12', '1.5'])
  })

  it.each<[string, Uint8Array, string]>([
    ['nothing', new Uint8Array(), 'empty'],
    ['blanks', strToU8(' \n\n \n'), 'empty'],
    ['an old Excel file or one with a password', Uint8Array.of(0xd0, 0xcf, 0x11, 0xe0, 1, 2, 3), 'old-excel'],
    ['another zip file', zipSync({ mimetype: strToU8('application/vnd.oasis.opendocument.spreadsheet') }), 'other-zip'],
    ['half a zip file', zipSync({ 'xl/workbook.xml': strToU8('x'.repeat(3000)) }).slice(0, 60), 'broken'],
    ['an Excel file with nothing right in it', zipSync({ 'xl/workbook.xml': strToU8('<nonsense') }), 'broken'],
    ['a picture', Uint8Array.from({ length: 400 }, (_, i) => (i * 37) % 256), 'not-a-table'],
    ['more than a class can have done', strToU8('1;2\n'.repeat(tableBounds.rows + 1)), 'too-big'],
    ['a large file', new Uint8Array(tableBounds.bytes + 1), 'too-big'],
    [
      'a zip bomb',
      zipSync({ 'xl/workbook.xml': strToU8('x'), 'xl/a': new Uint8Array(tableBounds.unpacked + 1) }),
      'too-big',
    ],
  ])('%s is refused in words', async (_, bytes, code) => {
    const refusal = await readTable(bufferOf(bytes)).then(
      () => undefined,
      (error: unknown) => error,
    )
    expect(refusal).toBeInstanceOf(TableError)
    expect((refusal as TableError).code).toBe(code)
    expect(i18n.global.te(`table.refused.${code}`)).toBe(true)
  })

  it('without an alias of the class are refused', () => {
    expect(matchTable(readText('Name;Jump\nSomebody;3\n'), named, pupils)).toBeUndefined()
  })

  it('are exported in display order, and nothing in them is a formula', async () => {
    const table = {
      heads: ['Alias', '=cmd()', columnLine(columns[0]!, t)],
      rows: pupils.map(({ alias }, i) => [i ? alias : '=1+1', i % 2 ? null : i, 7]),
    }
    const csv = csvOf(table)
    expect(csv.startsWith('\ufeffAlias,')).toBe(true)
    const { data } = Papa.parse<string[]>(csv.slice(1).trimEnd())
    expect(data.slice(2).map((row) => row[0])).toEqual(pupils.slice(1).map((p) => p.alias))
    expect(data.flat().filter((cell) => /^[=+\-@]/.test(cell))).toEqual([])
    expect(data[2]![1]).toBe('')
    const rows = await readTable(await (await excelOf(table)).arrayBuffer())
    expect(rows[0]).toEqual(table.heads)
    expect(rows[1]![0]).toBe('=1+1')
    expect(rows.slice(2).map((row) => row[0])).toEqual(pupils.slice(1).map((p) => p.alias))
  })
})
