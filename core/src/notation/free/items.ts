import { groupColumns, groupLabels } from './groups.ts'
import { readFacts } from './facts.ts'
import type { Item } from './item.ts'
import { readLine } from './line.ts'
import { readRow, type FreeRow, type RowReader } from './row.ts'
import { tablesOf, type Table } from './tables.ts'
import { tokensOf } from './tokens.ts'

/** What the lines of a text are, each by itself: headings, facts, rows, notes. */
export function itemsOf(lines: readonly string[], reader: RowReader): Item[] {
  const tables = tablesOf(lines, (heads) => groupColumns(heads).map((group) => group !== undefined))
  const items: Item[] = []
  let first = true
  // `3-4 15 reps` says what a group does only where other lines name groups.
  const beside = lines.some((line) => groupLabels(line).length > 0)
  for (let i = 0; i < lines.length; i++) {
    const table = tables.find((t) => t.from === i)
    if (table) {
      items.push(...tableItems(table, reader))
      i = table.to - 1
      first = false
      continue
    }
    const cells = lines[i]!.includes('\t') ? lines[i]!.split('\t').filter((c) => c.trim()) : [lines[i]!]
    for (const cell of cells) {
      const label = cells.length > 1 ? groupLabels(cell)[0] : undefined
      if (label && label.label === cell.trim()) {
        items.push({ line: i, kind: 'legend', entries: [{ label, facts: {} }], facts: {} })
        continue
      }
      const read = readLine(cell, i, reader, first, beside)
      items.push(...read)
      // In one line of cells what follows a heading with its minutes is no longer under it.
      const [heading] = read
      if (cells.length > 1 && heading?.kind === 'heading' && heading.facts.total !== undefined && !heading.rows.length)
        items.push({ line: i, kind: 'end' })
      if (read.some((item) => item.kind !== 'note')) first = false
    }
  }
  return titled(items, lines)
}

/** "Animal walks - 20 sec each, 10 sec rest" over rows without amounts is no row: it says what they are called, and how. */
function titled(items: readonly Item[], lines: readonly string[]): Item[] {
  return items.flatMap((item, i): Item[] => {
    const next = items.slice(i + 1).find((later) => later.kind !== 'note')
    const [row] = item.kind === 'rows' ? item.rows : []
    if (item.kind !== 'rows' || item.rows.length > 1 || row!.understood.named || item.listed || row!.label)
      return [item]
    if (next?.kind !== 'rows' || next.rows.some((r) => r.dose)) return [item]
    const { facts } = readFacts(lines[item.line]!, false)
    if (
      facts.work === undefined ||
      (facts.rest === undefined && facts.rounds === undefined && !/\beach\b/i.test(lines[item.line]!))
    )
      return [item]
    return [
      { line: item.line, kind: 'block', title: row!.name },
      { line: item.line, kind: 'facts', facts },
    ]
  })
}
/** A number under a head that says time is seconds, or minutes where it says so. */
const timeIn = ({ text, head }: { text: string; head: string }): string => {
  const unit = /\bmin/i.test(head) ? 'min' : /\b(?:time|work|duration|secs?|seconds|how long)\b/i.test(head) ? 's' : ''
  return unit && /^\d+(?:[.,]\d+)?$/.test(text) ? `${text} ${unit}` : text
}
function tableItems({ rows }: Table, reader: RowReader): Item[] {
  const items: Item[] = []
  const columns = rows[0]?.cells ?? []
  const groups = groupColumns(columns.map((c) => c.head))
  for (const { line, cells } of rows) {
    const cellsIn = (column: string) =>
      cells.filter((c) => c.column === column && c.text).map((c) => (column === 'time' ? timeIn(c) : c.text))
    const [name] = cellsIn('move')
    if (!name) continue
    const row = readRow([name, ...cellsIn('time'), ...cellsIn('reps')].join('  '), 0, reader)
    if (!row) continue
    const rest = cellsIn('rest').flatMap((text) => tokensOf(/\d\s*$/.test(text) ? `${text} s` : text))
    const time = rest.find((t) => t.kind === 'time')
    if (time?.kind === 'time') row.rest = time.seconds
    row.easier = cellsIn('easier').join(', ') || undefined!
    row.harder = cellsIn('harder').join(', ') || undefined!
    if (!row.easier) delete (row as Partial<FreeRow>).easier
    if (!row.harder) delete (row as Partial<FreeRow>).harder
    row.note.push(...cellsIn('note'))
    row.doses = cells.flatMap((cell, k) => {
      if (cell.column !== 'group') return []
      const dose = readRow(`x ${cell.text}`, 0, reader)?.dose ?? readRow(`${name} ${cell.text}`, 0, reader)?.dose
      const label = groups[k]
      return dose && label ? [{ grades: label.grades, dose }] : []
    })
    if (!row.doses.length) delete row.doses
    items.push({ line, kind: 'rows', rows: [row], listed: true })
  }
  const entries = columns.flatMap(({ column, head }, k) => {
    const label = column === 'group' ? groups[k] : undefined
    const called = head.replace(/\(.*\)/, '').trim()
    return label ? [{ label: { ...label, label: called || label.label }, facts: {} }] : []
  })
  if (entries.length && items.length) items.unshift({ line: rows[0]!.line - 1, kind: 'legend', entries, facts: {} })
  return items
}
