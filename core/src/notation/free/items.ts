import { groupLabels } from './groups.ts'
import { readFacts } from './facts.ts'
import type { Item } from './item.ts'
import { readLine } from './line.ts'
import { readRow, type FreeRow, type RowReader } from './row.ts'
import { tablesOf, type Table } from './tables.ts'
import { tokensOf } from './tokens.ts'

/** What the lines of a text are, each by itself: headings, facts, rows, notes. */
export function itemsOf(lines: readonly string[], reader: RowReader): Item[] {
  const tables = tablesOf(lines, (head) => groupLabels(head).length > 0)
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
function tableItems({ rows }: Table, reader: RowReader): Item[] {
  const items: Item[] = []
  for (const { line, cells } of rows) {
    const of = (column: string) => cells.filter((c) => c.column === column && c.text).map((c) => c.text)
    const [name] = of('move')
    if (!name) continue
    const row = readRow([name, ...of('time'), ...of('reps')].join('  '), 0, reader)
    if (!row) continue
    const rest = of('rest').flatMap((text) => tokensOf(/\d\s*$/.test(text) ? `${text} s` : text))
    const time = rest.find((t) => t.kind === 'time')
    if (time?.kind === 'time') row.rest = time.seconds
    row.easier = of('easier').join(', ') || undefined!
    row.harder = of('harder').join(', ') || undefined!
    if (!row.easier) delete (row as Partial<FreeRow>).easier
    if (!row.harder) delete (row as Partial<FreeRow>).harder
    row.note.push(...of('note'))
    row.doses = cells.flatMap((cell) => {
      if (cell.column !== 'group') return []
      const dose = readRow(`x ${cell.text}`, 0, reader)?.dose ?? readRow(`${name} ${cell.text}`, 0, reader)?.dose
      const label = groupLabels(cell.head)[0]
      return dose && label ? [{ grades: label.grades, dose }] : []
    })
    if (!row.doses.length) delete row.doses
    items.push({ line, kind: 'rows', rows: [row], listed: true })
  }
  const labels = rows[0]?.cells.flatMap((c) => (c.column === 'group' ? (groupLabels(c.head)[0] ?? []) : [])) ?? []
  if (labels.length && items.length)
    items.unshift({
      line: rows[0]!.line - 1,
      kind: 'legend',
      entries: labels.map((label, i) => ({
        label: {
          ...label,
          label:
            rows[0]!.cells
              .filter((c) => c.column === 'group')
              [i]!.head.replace(/\(.*\)/, '')
              .trim() || label.label,
        },
        facts: {},
      })),
      facts: {},
    })
  return items
}
