/** What a client was told and what it doesn't know: nothing acknowledged may be missing or doubled in the end. */
export class Book {
  /** By session: the title of the last acknowledged save, with its revision. */
  readonly saves = new Map<string, { title: string; revision: number }>()
  /** Acknowledged runs by id, with their content. */
  readonly runs = new Map<string, string>()
  /** Answers no server may ever give, in words. */
  readonly wrong: string[] = []
  readonly counts = { saves: 0, runs: 0, unknown: 0, unavailable: 0 }
  #told = new Map<string, number>()

  /** Something was acknowledged now. @param what a run by its id, a save by its session's and its revision */
  told(what: string): void {
    this.#told.set(what, Date.now())
  }

  /** When something was acknowledged, in milliseconds since 1970. */
  toldAt(what: string): number | undefined {
    return this.#told.get(what)
  }

  /**
   * The longest time without any acknowledgement, within a period.
   *
   * @param from @param until in milliseconds since 1970
   */
  longestPause(from: number, until: number): number {
    const times = [from, ...[...this.#told.values()].filter((t) => t > from && t < until), until].sort((a, b) => a - b)
    return Math.max(...times.slice(1).map((t, i) => t - times[i]!))
  }
}

/** A row as the database has it. */
export interface Found {
  saves: Map<string, { title: string; revision: number; history: string[] }>
  runs: { id: string; said: string }[]
}

/**
 * Compares the book with the database, row by row.
 *
 * @returns the differences, in words; nothing if all is well
 */
export function differencesFrom(book: Book, found: Found): string[] {
  const wrong = [...book.wrong]
  for (const [id, { title, revision }] of book.saves) {
    const there = found.saves.get(id)
    if (!there) wrong.push(`session ${id} is gone`)
    else if (there.title !== title || there.revision !== revision)
      wrong.push(`session ${id}: acknowledged ${title} (${revision}), found ${there.title} (${there.revision})`)
    else if (there.history.at(-1) !== title)
      wrong.push(`session ${id}: its history ends with ${there.history.at(-1)}, not with ${title}`)
  }
  const rows = new Map<string, string[]>()
  for (const { id, said } of found.runs) rows.set(id, [...(rows.get(id) ?? []), said])
  for (const [id, said] of book.runs) {
    const there = rows.get(id) ?? []
    if (there.length !== 1) wrong.push(`run ${id} was acknowledged and is there ${there.length} times`)
    else if (there[0] !== said) wrong.push(`run ${id} is there, but changed`)
  }
  for (const id of rows.keys()) if (!book.runs.has(id)) wrong.push(`run ${id} is there, and nobody was told so`)
  return wrong
}
