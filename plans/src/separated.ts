import Papa from 'papaparse'

/**
 * Rows of a delimited text: with the separator a spreadsheet states in its first line, otherwise the one that gives most lines the same
 * number of cells. A separator that does not occur is not considered.
 *
 * @example separated('a;b\n1,5;2') // [['a', 'b'], ['1,5', '2']]
 */
export function separated(text: string): string[][] {
  const body = text.replace(/^\ufeff/, '')
  const said = /^sep=(.)\r?\n/i.exec(body)
  const rest = said ? body.slice(said[0].length) : body
  const tried = said ? [said[1]!] : ['\t', ';', ',', '|']
  const read = tried.map((delimiter) => Papa.parse<string[]>(rest, { delimiter, skipEmptyLines: 'greedy' }).data)
  return read.sort((a, b) => evenness(b) - evenness(a))[0] ?? []
}

/** The most common number of cells per line, and how many cells those lines have. */
function evenness(rows: readonly string[][]): number {
  const lengths = new Map<number, number>()
  for (const { length } of rows) lengths.set(length, (lengths.get(length) ?? 0) + 1)
  const [[length = 0, count = 0] = []] = [...lengths].sort(([, a], [, b]) => b - a)
  return (length - 1) * count
}
