/** What a column of a table holds. */
export type Column = 'move' | 'time' | 'rest' | 'reps' | 'easier' | 'harder' | 'number' | 'note' | 'group'

/** A row of a table: its cells under what their columns hold. */
export interface TableRow {
  /** Index of the line it stands on. */
  line: number
  cells: { column: Column; text: string; /** Of a group's column. */ head: string }[]
}
export interface Table {
  /** Index of its first line, and of the first line after it. */
  from: number
  to: number
  rows: TableRow[]
}

const heads: readonly [RegExp, Column][] = [
  [/^(?:exercise|activity|move|station|what|task|skill|pose|name)s?\b/i, 'move'],
  [/^(?:time|work|duration|secs?|seconds|on|how long|mins?)\b/i, 'time'],
  [/^(?:rest|off|recover|recovery|break)\b/i, 'rest'],
  [/^(?:reps?|how many|number|amount|dose)\b/i, 'reps'],
  [/^(?:easier|easy|make it easier|too hard\??|regression|support)\b/i, 'easier'],
  [/^(?:harder|hard|make it harder|too easy\??|progression|challenge|extension)\b/i, 'harder'],
  [/^(?:#|no\.?|nr\.?)$/i, 'number'],
]

/** Cells of a line: by bars, by tabs, or by gaps of two blanks and more. */
export function cellsOf(line: string): string[] | undefined {
  if ((line.match(/\|/g)?.length ?? 0) >= 1) {
    const cells = line
      .replace(/^\s*\|/, '')
      .replace(/\|\s*$/, '')
      .split('|')
    return cells.length > 1 ? cells.map((c) => c.trim()) : undefined
  }
  if (line.includes('\t')) return line.split('\t').map((c) => c.trim())
  const cells = line.trim().split(/\s{3,}/)
  return cells.length > 2 ? cells : undefined
}
const isRule = (line: string): boolean => /^[\s|:+-]{3,}$/.test(line) && /-/.test(line)
const hasWords = (text: string): boolean => /\p{L}{3}/u.test(text)

/** Tables of a text: two lines of as many cells or more, the first of which may name the columns. */
export function tablesOf(lines: readonly string[], groupsIn: (heads: readonly string[]) => boolean[]): Table[] {
  const tables: Table[] = []
  for (let i = 0; i < lines.length; i++) {
    const width = cellsOf(lines[i]!)?.length
    if (!width || width < 2) continue
    let to = i + 1
    while (to < lines.length && (isRule(lines[to]!) || cellsOf(lines[to]!)?.length === width)) to++
    const body = Array.from({ length: to - i }, (_, k) => i + k).filter((k) => !isRule(lines[k]!))
    if (body.length >= 2) {
      const table = tableOf(lines, body, groupsIn)
      if (table) tables.push({ from: i, to, rows: table })
    }
    i = to - 1
  }
  return tables
}

function tableOf(
  lines: readonly string[],
  body: readonly number[],
  groupsIn: (heads: readonly string[]) => boolean[],
): TableRow[] | undefined {
  const first = cellsOf(lines[body[0]!]!)!
  const named = first.map((head): Column | undefined => heads.find(([p]) => p.test(head))?.[1])
  const isGroup = groupsIn(first)
  const isHead = named.filter(Boolean).length + isGroup.filter(Boolean).length >= 2
  const columns = first.map((_, k): Column => {
    if (isHead) return isGroup[k] && named[k] !== 'move' ? 'group' : (named[k] ?? 'note')
    // Without a header the first column of words is the moves'.
    const words = body.filter((line) => hasWords(cellsOf(lines[line]!)![k]!.replace(/\d+ ?\p{L}{1,4}/gu, ''))).length
    if (words * 2 >= body.length) return 'note'
    // Numbers that count the rows are no amounts.
    const counts = body.every((line, n) => Number(cellsOf(lines[line]!)![k]) === n + Number(first[k]))
    return counts ? 'number' : 'time'
  })
  if (!columns.includes('move')) {
    const at = columns.indexOf('note')
    if (at < 0) return undefined
    columns[at] = 'move'
    let times = 0
    columns.forEach((c, k) => {
      if (c === 'time' && ++times === 2) columns[k] = 'rest'
    })
  }
  return body.slice(isHead ? 1 : 0).map((line) => ({
    line,
    cells: cellsOf(lines[line]!)!.map((text, k) => ({ column: columns[k]!, text, head: first[k]! })),
  }))
}
