import { limits } from '../base/limits.ts'
import type { Library } from '../library/library.ts'
import type { Session } from '../session/schema.ts'
import { planBlocks } from './planBlocks.ts'

/** A table with one line of headings; all rows have the same length. */
export interface PlanTable {
  heads: string[]
  rows: string[][]
}

/**
 * A session as one spreadsheet table: one row per station with its section, how its block is worked and what each group does. A block
 * without stations is a row of its own.
 */
export function planTable(session: Session, library: Library): PlanTable {
  const blocks = planBlocks(session, library)
  const tables = blocks.flatMap((b) => (b.kind === 'table' ? [b.rows] : []))
  const groups = tables[0]?.[0]!.slice(1, 1 + session.groups.length) ?? []
  const words = ['Note', 'Easier', 'Harder'].filter((word) => tables.some(([head]) => head!.includes(word)))
  const rows: string[][] = []
  let [part, how]: [string, string[]] = ['', []]
  const end = () => {
    if (part && how.length)
      rows.push([part, how.join(', '), ...Array.from({ length: 1 + groups.length + words.length }, () => '')])
    how = []
  }
  for (const block of blocks.slice(1)) {
    if (block.kind === 'heading') {
      if (block.level === 2) {
        end()
        part = block.text
      } else how.push(block.text)
    } else if (block.kind === 'line' && part) how.push(block.text)
    else if (block.kind === 'table') {
      const [head = [], ...stations] = block.rows
      const own = words.map((word) => head.indexOf(word))
      for (const row of stations)
        rows.push([part, how.join(', '), ...row.slice(0, 1 + groups.length), ...own.map((at) => row[at] ?? '')])
      how = []
    }
  }
  end()
  return { heads: ['Part', 'How', 'Move', ...groups, ...words], rows: rows.slice(0, limits.stations * limits.sections) }
}
