import { stationsOf, traitsOf, type LaneView, type Library, type Session } from '@esfuerzo/core'
import type { Figure } from '@esfuerzo/core/figure'
import type { Question } from '@esfuerzo/core/notation'

/** How a line of a text was read. */
export interface LineEntry {
  /** From 1. */
  line: number
  figures: Figure[]
  /** The full description: sections and exercises by name. */
  words: string[]
  /** Whether it starts a part, and the form of that part. */
  part?: 'section' | 'block'
  form?: string
  /** Seconds of the quickest and the slowest lane; undefined if it takes none. */
  seconds?: { from: number; to: number }
  /** Its question. */
  questions: Question[]
}

/**
 * What each line of a text became, in line order; lines that became nothing by themselves are left out.
 *
 * @param lines the line of each part, by its id
 */
export function lineEntries(
  session: Session,
  lines: ReadonlyMap<string, number>,
  lanes: readonly LaneView[],
  questions: readonly Question[],
  library: Library,
): LineEntry[] {
  const made = new Lines(lines)
  for (const section of session.sections) {
    made.begin(section.id, section.title, 'section')
    for (const block of section.blocks) {
      // A plain list is only its rows: its first row starts nothing.
      const plain = traitsOf(block).goesWithoutSaying?.(block) && !block.title
      const entry = plain ? undefined : made.begin(block.id, block.title ?? '', 'block')
      if (entry?.part === 'block') entry.form = block.form
      for (const { id, cells } of stationsOf(block)) {
        const move = library.moves.get(cells.all.move)
        const version = move?.versions.find((v) => v.id === cells.all.version)
        const figure = move && library.figures.get(version?.figure ?? move.figure)
        const at = made.begin(id, move?.name ?? '')
        if (figure) at?.figures.push(figure)
      }
    }
  }
  made.time(lanes.map(secondsByPart))
  for (const question of questions) made.at(question.line).questions.push(question)
  return made.inOrder
}

/** Lines while they are put together. */
class Lines {
  #where: ReadonlyMap<string, number>
  #entries = new Map<number, LineEntry>()
  /** What the seconds of a line belong to. */
  #parts = new Map<number, string[]>()

  constructor(where: ReadonlyMap<string, number>) {
    this.#where = where
  }

  at(line: number): LineEntry {
    let entry = this.#entries.get(line)
    if (!entry) this.#entries.set(line, (entry = { line, figures: [], words: [], questions: [] }))
    return entry
  }

  /** A part that starts in a line. Its seconds are those of the largest part; stations are added up. */
  begin(id: string, words: string, part?: LineEntry['part']): LineEntry | undefined {
    const line = this.#where.get(id)
    if (line === undefined) return undefined
    const entry = this.at(line)
    entry.words.push(words)
    const first = part && !entry.part
    if (first) entry.part = part
    if (first) this.#parts.set(line, [id])
    else if (!part && !entry.part) this.#parts.set(line, [...(this.#parts.get(line) ?? []), id])
    return entry
  }

  /** @param lanes seconds of each lane by part */
  time(lanes: readonly ReadonlyMap<string, number>[]): void {
    for (const [line, ids] of this.#parts) {
      const each = lanes.map((seconds) => ids.reduce((sum, id) => sum + (seconds.get(id) ?? 0), 0))
      const to = Math.max(0, ...each)
      if (to > 0) this.at(line).seconds = { from: Math.min(...each), to }
    }
  }

  get inOrder(): LineEntry[] {
    return [...this.#entries.values()].sort((a, b) => a.line - b.line)
  }
}

/** Seconds of a lane by section, block and station. */
function secondsByPart({ blocks }: LaneView): Map<string, number> {
  const sums = new Map<string, number>()
  const add = (id: string, seconds: number) => sums.set(id, (sums.get(id) ?? 0) + seconds)
  for (const { timed } of blocks) {
    add(timed.section, timed.seconds)
    add(timed.block, timed.seconds)
    for (const { station, seconds } of timed.steps) if (station) add(station, seconds.typical)
  }
  return sums
}
