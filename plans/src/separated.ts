import Papa from 'papaparse'

/**
 * Rows of a text with a separator: the one a spreadsheet says in its first line, else the one that gives most lines the same number of
 * cells. What stands nowhere separates nothing.
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

/** How many cells stand in lines as long as most are. */
function evenness(rows: readonly string[][]): number {
  const lengths = new Map<number, number>()
  for (const { length } of rows) lengths.set(length, (lengths.get(length) ?? 0) + 1)
  const [[length = 0, count = 0] = []] = [...lengths].sort(([, a], [, b]) => b - a)
  return (length - 1) * count
}
