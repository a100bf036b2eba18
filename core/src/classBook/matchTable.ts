import { foldWords } from '../base/fold.ts'
import { aliasKey } from './alias.ts'
import type { BookColumn } from './column.ts'
import { readValue, type ValueProblem } from './value.ts'

/** A book's column with its possible names in a table's heading. */
export interface NamedColumn {
  column: BookColumn
  /** What it is about, which box of how many, and everything in one line. */
  name: string
  nth: string
  line: string
  /** Other names. */
  also?: readonly string[]
}

/** A column of a table, and how it is understood. */
export interface TableColumn {
  /** From 0. */
  index: number
  head: string
  /** Key of the book's column; undefined if the column is skipped. */
  key?: string
}

/** How a table is read. */
export interface TableMatch {
  /** The column with the aliases, from 0. */
  aliases: number
  /** The first row with a pupil, from 0. */
  first: number
  columns: TableColumn[]
}

/** An error in a line of a table; lines are counted from 1, as shown. */
export type LineProblem =
  | { line: number; code: 'unknown-alias' | 'alias-twice' | 'no-alias'; text: string }
  | { line: number; code: 'value'; head: string; text: string; problem: ValueProblem }

/** The result of reading a table. */
export interface ReadCells {
  cells: { pupil: string; column: string; text: string }[]
  problems: LineProblem[]
}

interface Pupil {
  id: string
  alias: string
}

/** Words only: no case, accents, punctuation or unit in brackets. */
const plain = (text: string) => foldWords(text.normalize('NFKD').replace(/\([^)]*\)/g, ' '))

/**
 * How to read a table: which column has the aliases, where the rows start, and which of the book's columns each other column is, by its
 * heading. A heading over several columns counts for each of them.
 *
 * @returns undefined if it contains no alias of the class
 */
export function matchTable(
  rows: readonly (readonly string[])[],
  named: readonly NamedColumn[],
  pupils: readonly Pupil[],
): TableMatch | undefined {
  const known = new Set(pupils.map((p) => aliasKey(p.alias)))
  const width = Math.max(0, ...rows.map((row) => row.length))
  const counts = Array.from({ length: width }, (_, c) => rows.filter((row) => known.has(aliasKey(row[c] ?? ''))).length)
  const most = Math.max(0, ...counts)
  if (most === 0) return undefined
  const aliases = counts.indexOf(most)
  const first = firstPupil(rows, aliases, known)
  const heads = headsOf(rows.slice(0, first), width)
  return { aliases, first, columns: matchHeads(heads, aliases, named) }
}

/** Headings of a column of aliases. */
const headWords = new Set([
  'alias',
  'aliases',
  'name',
  'names',
  'pupil',
  'pupils',
  'child',
  'children',
  'who',
  'nombre',
  'alumno',
  'alumna',
])

/** Whether the numbers are box numbers, as in "1, 2, 3, 1, 2": each is one more than the one before, or starts again. */
const areBoxes = (numbers: readonly number[]): boolean =>
  numbers.includes(2) && numbers.every((n, i) => n === 1 || (i > 0 && n === numbers[i - 1]! + 1))

/** Rows of pupils start with the first known alias, and with the rows right above it that have a number beside. */
function firstPupil(rows: readonly (readonly string[])[], aliases: number, known: ReadonlySet<string>): number {
  let first = rows.findIndex((row) => known.has(aliasKey(row[aliases] ?? '')))
  const isData = (row: readonly string[]) => {
    const alias = plain(row[aliases] ?? '')
    const numbers = row.filter((cell, c) => c !== aliases && /^-?\d+(?:[.,]\d+)?$/.test(cell)).map(Number)
    return alias !== '' && !headWords.has(alias) && numbers.length > 0 && !areBoxes(numbers)
  }
  while (first > 0 && isData(rows[first - 1]!) && rows.slice(0, first - 1).some((row) => row.some(Boolean))) first--
  return first
}

/** The heading of each column: everything above it, from the top; a heading written once continues to the right. */
function headsOf(above: readonly (readonly string[])[], width: number): string[][] {
  return Array.from({ length: width }, (_, c) =>
    above.flatMap((row, r) => {
      const own = row[c] ?? ''
      // Only above another heading: the lowest row has a heading for each column.
      const goesOn = r < above.length - 1 && above[above.length - 1]![c]
      const before = goesOn ? row.slice(0, c).findLast(Boolean) : undefined
      const text = own || (before ?? '')
      return text ? [text] : []
    }),
  )
}

function matchHeads(heads: readonly string[][], aliases: number, named: readonly NamedColumn[]): TableColumn[] {
  const left = [...named]
  const take = (fits: (n: NamedColumn) => boolean) => {
    const i = left.findIndex(fits)
    return i < 0 ? undefined : left.splice(i, 1)[0]!.column.key
  }
  const columns = heads.flatMap((head, index): (TableColumn & { words: string[] })[] =>
    index === aliases || !head.length
      ? []
      : [{ index, head: head.join(' · '), words: head.map(plain).filter(Boolean) }],
  )
  // Full names come before other names.
  const ways: ((words: string[]) => (n: NamedColumn) => boolean)[] = [
    (words) => (n) => plain(n.line) === words.at(-1) || plain(n.line) === words.join(' '),
    (words) => (n) => n.nth !== '' && isBox(words.join(' '), n),
    (words) => (n) => n.nth === '' && words.some((word) => [n.name, ...(n.also ?? [])].map(plain).includes(word)),
    (words) => (n) => words.includes(plain(n.name)),
  ]
  const keys = new Map<number, string>()
  for (const way of ways) {
    for (const { index, words } of columns) {
      if (keys.has(index)) continue
      const key = take(way(words))
      if (key) keys.set(index, key)
    }
  }
  return columns.map(({ index, head }) => ({ index, head, ...(keys.has(index) && { key: keys.get(index)! }) }))
}

/** Whether the words name one of several boxes: "squat jump lap 2", "squat jump 2". */
const isBox = (words: string, { name, nth, column }: NamedColumn): boolean =>
  words === plain(`${name} ${nth}`) || words === plain(`${name} ${column.nth}`)

/** Cells that mean "nothing". */
const nothing = /^(?:[-–—.?/]|n\/?a|x)$/i

/** The cells of a table after matching, and its mistakes, line by line. An empty cell leaves the book unchanged. */
export function readCells(
  rows: readonly (readonly string[])[],
  { aliases, first, columns }: TableMatch,
  book: readonly BookColumn[],
  pupils: readonly Pupil[],
): ReadCells {
  const byAlias = new Map(pupils.map((p) => [aliasKey(p.alias), p.id]))
  const byKey = new Map(book.map((column) => [column.key, column]))
  const seen = new Set<string>()
  const last = rows.findLastIndex((row) => byAlias.has(aliasKey(row[aliases] ?? '')))
  const found: ReadCells = { cells: [], problems: [] }
  rows.slice(first).forEach((row, r) => {
    const line = first + r + 1
    const alias = row[aliases] ?? ''
    const values = columns.flatMap(({ index, head, key }) => {
      const column = key === undefined ? undefined : byKey.get(key)
      const text = row[index] ?? ''
      return column && text !== '' && !nothing.test(text) ? [{ column, head, text }] : []
    })
    if (!values.length) return
    // Below the last pupil, a line without an alias is a sum; between pupils it is somebody's.
    if (alias === '') return void (first + r < last && found.problems.push({ line, code: 'no-alias', text: '' }))
    const pupil = byAlias.get(aliasKey(alias))
    if (pupil === undefined) return void found.problems.push({ line, code: 'unknown-alias', text: alias })
    if (seen.has(pupil)) return void found.problems.push({ line, code: 'alias-twice', text: alias })
    seen.add(pupil)
    for (const { column, head, text } of values) {
      const read = readValue(text, column)
      if (read && 'problem' in read) found.problems.push({ line, code: 'value', head, text, problem: read.problem })
      else found.cells.push({ pupil, column: column.key, text })
    }
  })
  return found
}
