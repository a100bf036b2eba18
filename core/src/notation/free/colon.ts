import { plainName } from '../names.ts'
import { readFacts, type Facts } from './facts.ts'
import { plainOf, restRow, type Item } from './item.ts'
import { rowsOf } from './rows.ts'
import { readRow, type FreeRow, type RowReader } from './row.ts'

/** Words for doing once more what was done. */
export const again = /\b(?:same again|repeat (?:it |this |that |all )?(?:again)?|do it (?:all )?again|all again)\b/i
const partWords = /\b(?:half|part|quarter|block|phase)\b/i

/** What stands on both sides of a colon. */
interface Sides {
  line: number
  listed: boolean
  head: string
  tail: string
  /** Where the tail begins. */
  at: number
  reader: RowReader
}
const heading = (line: number, title: string, facts: Facts, rows: FreeRow[]): Item => ({
  line,
  kind: 'heading',
  role: 'main',
  title: title.trim(),
  facts,
  rows,
})

/**
 * Reads a line with a colon in it: `Animal walks - 20 s each: bear, crab`, `Stretches 20 s each side: hamstring, quads`,
 * `2 rounds: squats, plank`, `Half time: water 2 mins`, `Squats: 10`.
 *
 * @returns undefined where the colon parts nothing
 */
export function readColon(text: string, line: number, reader: RowReader, listed: boolean): Item[] | undefined {
  const colon = /:(?!\d)\s*(?=\S)/.exec(text)
  if (!colon) return undefined
  const at = colon.index + colon[0].length
  const sides: Sides = { line, listed, head: text.slice(0, colon.index), tail: text.slice(at), at, reader }
  return readPart(sides, text) ?? readMove(sides) ?? readRows(sides)
}

/** A part of a session by a name of its own. */
function readPart({ line, head, tail, at, reader }: Sides, text: string): Item[] | undefined {
  if (plainOf(head).length > 3 || !readFacts(head, false).strange.length) return undefined
  if (again.test(tail)) return [heading(line, head, {}, []), { line, kind: 'again', facts: {} }]
  const { facts, strange } = readFacts(tail, true)
  if (partWords.test(head)) {
    if (facts.rest !== undefined && !strange.length)
      return [heading(line, text, {}, [{ ...restRow('Rest', 0), dose: { unit: 'seconds', amount: facts.rest } }])]
    const rows = strange.length ? rowsOf(tail, at, reader) : undefined
    if (rows) return [heading(line, head, {}, rows)]
  }
  const named = readRow(head, 0, reader)?.understood.named
  return !strange.length && facts.total !== undefined && !named ? [heading(line, head, facts, [])] : undefined
}

/** A move before the colon: its amount, or what is said of it, behind. */
function readMove({ line, listed, head, tail, at, reader }: Sides): Item[] | undefined {
  const row = readRow(head, 0, reader)
  if (!row?.understood.named) return undefined
  const rows = rowsOf(tail, at, reader)
  if (rows?.some((r) => r.understood.named)) return undefined
  const { facts, strange, any } = readFacts(tail, false)
  if (any && !strange.length && facts.each && !row.dose)
    return [
      { line, kind: 'rows', rows: [{ ...row, dose: facts.each, ...(facts.rounds && { sets: facts.rounds }) }], listed },
    ]
  if (rows?.length !== 1 || rows[0]!.dose) return undefined
  return [{ line, kind: 'rows', rows: [{ ...row, note: [...row.note, tail] }], listed }]
}

/** Facts or a name before the colon, rows behind it. */
function readRows({ line, listed, head, tail, at, reader }: Sides): Item[] | undefined {
  const rows = rowsOf(tail, at, reader)
  if (!rows) return undefined
  const { facts, strange, any } = readFacts(head, false)
  const known = rows.filter((r) => r.understood.named || r.dose).length
  if (!strange.length && any && known) return [{ line, kind: 'rows', rows, facts, listed }]
  if (rows.length < 2) return undefined
  const common = readRow(head, 0, reader)
  // The head's own word belongs to each: "Stretches 20 s each side: hamstring, quads".
  if (common?.dose) {
    const kind = plainName(common.name).split(' ').at(-1)!
    const longer = rows.map((row): FreeRow => {
      const { understood } = readRow(`${row.name} ${kind}`, row.at, reader) ?? row
      return !row.understood.named && understood.named ? { ...row, understood } : row
    })
    const each: Facts = { each: common.dose, ...(common.eachSide && { eachSide: true }) }
    return [{ line, kind: 'rows', rows: longer, facts: each, title: common.name, listed }]
  }
  return known >= rows.length / 2 ? [{ line, kind: 'rows', rows, facts, title: head.trim(), listed }] : undefined
}
