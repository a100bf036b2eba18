import { libraryFor } from '../library/carryMoves.ts'
import type { Library } from '../library/library.ts'
import { printDetails } from '../notation/detailsText.ts'
import { groupLabel } from '../notation/groupsText.ts'
import { linesOver, printAcross } from '../notation/print.ts'
import { printHead } from '../notation/sectionHead.ts'
import { strip } from '../notation/strip.ts'
import { stationsOf } from '../session/forms.ts'
import type { Session } from '../session/schema.ts'
import type { PlanBlock } from './planBlock.ts'

/** A station's own words, each kind in a column if any of a block's rows has it. */
const ownWords = ['note', 'easier', 'harder'] as const
const inHead = (word: string): string => `${word[0]!.toUpperCase()}${word.slice(1)}`

/**
 * A session as a document: headings, how each block is worked, and its rows in a table with one column per group. {@link planText} and
 * `readText` turn it back into the same session, except for what a whiteboard text cannot say.
 */
export function planBlocks(session: Session, ours: Library): PlanBlock[] {
  const library = libraryFor(session, ours)
  const w = strip(session, library)
  const line = (text: string): PlanBlock => ({ kind: 'line', text })
  const quote = (text: string): PlanBlock => ({ kind: 'quote', text })
  const blocks: PlanBlock[] = [{ kind: 'heading', level: 1, text: w.title }, ...printDetails(w).map(line)]
  for (const section of w.sections) {
    blocks.push({ kind: 'heading', level: 2, text: printHead(section).replace(/^## ?/, '') })
    if (section.note) blocks.push(quote(section.note))
    for (const [i, block] of section.blocks.entries()) {
      const { facts, own } = linesOver(block, section.blocks[i - 1], w.groups)
      if (block.title) blocks.push({ kind: 'heading', level: 3, text: block.title })
      blocks.push(...facts.map(line), ...(block.note ? [quote(block.note)] : []), ...own.map(line))
      const stations = stationsOf(block)
      if (!stations.length) continue
      const words = ownWords.filter((word) => stations.some((s) => s[word]))
      const head = ['Move', ...w.groups.map((g) => groupLabel(g, w.groups)), ...words.map(inHead)]
      const rows = stations.map((station) => {
        const { name, cells } = printAcross(station, block, w.groups, library)
        return [name, ...cells, ...words.map((word) => station[word] ?? '')]
      })
      blocks.push({ kind: 'table', rows: [head, ...rows] })
    }
  }
  return blocks
}
