/** A day on which a class was tested. */
export interface TestDay {
  key: string
  /** Milliseconds since 1970. */
  at: number
}

/** The days of a test by purpose. */
export interface Sides {
  /** A class's first day: kept, and not compared, since children learn a test by doing it. */
  tryOut: TestDay
  before: readonly TestDay[]
  after: readonly TestDay[]
}

/** Days at most so far apart are one side of a change, and tell how a measure varies. */
const fortnight = 14 * 24 * 60 * 60 * 1000

/**
 * Which days of a test are compared: after the practice test, those within two weeks of the first with those within two weeks of the last.
 *
 * @param days in order
 * @returns undefined if there are not two sides yet
 * @example sidesOf([{ key: 'a', at: 0 }, { key: 'b', at: 7 * 864e5 }, { key: 'c', at: 70 * 864e5 }])?.after.length // 1
 */
export function sidesOf(days: readonly TestDay[]): Sides | undefined {
  const [tryOut, ...counted] = days
  const [first, last] = [counted[0], counted.at(-1)]
  if (!tryOut || !first || !last || last.at - first.at <= fortnight) return undefined
  const before = counted.filter((day) => day.at - first.at <= fortnight)
  return { tryOut, before, after: counted.filter((day) => !before.includes(day) && last.at - day.at <= fortnight) }
}

/** Pairs of neighboring days so close that only the measure varies; without the practice test. */
export const nearDays = (days: readonly TestDay[]): [TestDay, TestDay][] =>
  days.slice(1).flatMap((day, i, counted): [TestDay, TestDay][] => {
    const next = counted[i + 1]
    return next && next.at - day.at <= fortnight ? [[day, next]] : []
  })
