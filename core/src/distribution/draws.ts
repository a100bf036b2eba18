import { binomial, certain, plus, type Chances } from './chances.ts'

/** More draws than this are practically impossible (for the forms' limits, less than one in a million). */
const mostDraws = 4096
/** Probability that may be left out at a distribution's tail. */
const tail = 1e-9

/**
 * How many draws it takes until every column of a table is done, when each draw calls one column with equal probability; a draw for a
 * finished column is repeated. Exact, column by column: of k draws among m columns, c go to the last with binomial probability, the rest to
 * the others.
 *
 * @param columns rows of each column; empty ones are called but never needed
 * @example mean(clearedDraws([6, 6])) // 14.707: closed form, see the tests
 */
export const clearedDraws = (columns: readonly number[]): Chances =>
  remembered(`cleared ${columns.join()}`, () => until((k) => shareOf(columns, k, (called, rows) => called >= rows)))

/**
 * How many draws it takes until the first column that has rows is done.
 *
 * @example mean(firstCleared([6, 6])) // 9.293
 */
export const firstCleared = (columns: readonly number[]): Chances =>
  columns.every((rows) => rows === 0)
    ? certain(0)
    : until((k) => 1 - shareOf(columns, k, (called, rows) => rows === 0 || called < rows))

/** A lane is timed at every key press with the same sheet: the last few results are cached. */
const known = new Map<string, Chances>()
const mostKnown = 60
function remembered(key: string, make: () => Chances): Chances {
  const there = known.get(key)
  if (there) return there
  if (known.size >= mostKnown) known.delete(known.keys().next().value!)
  const made = make()
  known.set(key, made)
  return made
}

/** A distribution from the probability that something has happened after k draws. */
function until(doneAfter: (k: number) => number): Chances {
  const chances: number[] = []
  let done = 0
  for (let k = 0; k <= mostDraws && done < 1 - tail; k++) {
    const now = doneAfter(k)
    chances.push(Math.max(0, now - done))
    done = now
  }
  return Float64Array.from(chances)
}

/** Binomial tables by number of columns left, extended on demand: row n is Bin(n, 1 ÷ columns). */
const tables = new Map<number, Chances[]>()
function calls(n: number, columns: number): Chances {
  const rows = tables.get(columns) ?? tables.set(columns, [certain(0)]).get(columns)!
  const one = Float64Array.of(1 - 1 / columns, 1 / columns)
  while (rows.length <= n) rows.push(columns === 1 ? certain(rows.length) : plus(rows.at(-1)!, one))
  return rows[n]!
}

/** The probability that k draws over some columns leave every column as required. */
function shareOf(columns: readonly number[], k: number, wanted: (called: number, rows: number) => boolean): number {
  // By draws left for the columns not considered yet.
  let left = new Float64Array(k + 1)
  left[k] = 1
  for (let m = columns.length; m > 0; m--) {
    const next = new Float64Array(k + 1)
    left.forEach((p, n) => {
      if (p === 0) return
      calls(n, m).forEach((q, called) => {
        if (q > 0 && wanted(called, columns[m - 1]!)) next[n - called] = next[n - called]! + p * q
      })
    })
    left = next
  }
  return left[0]!
}

/**
 * The sum of a number of draws with replacement from equally likely values.
 *
 * @param values whole numbers
 * @example mean(sumOfDraws([1, 2, 3, 4, 5, 6], 2)) // 7
 */
export function sumOfDraws(values: readonly number[], draws: number): Chances {
  return remembered(`sum ${draws} ${values.join()}`, () => sumOfSame(values, draws))
}

function sumOfSame(values: readonly number[], draws: number): Chances {
  const one = new Float64Array(Math.max(0, ...values) + 1)
  for (const value of values) one[value] = one[value]! + 1 / values.length
  let chances = certain(0)
  for (let i = 0; i < draws; i++) chances = plus(chances, one)
  return chances
}

/**
 * The sum of a number of cards drawn from a deck without replacement; an empty deck is shuffled and dealt again.
 *
 * @param deck how many cards have each value
 * @example mean(sumOfCards([{ value: 1, count: 1 }, { value: 5, count: 1 }], 2)) // 6: both, for certain
 */
export function sumOfCards(deck: readonly { value: number; count: number }[], draws: number): Chances {
  const size = deck.reduce((sum, { count }) => sum + count, 0)
  const whole = Math.floor(draws / size)
  const rest = draws % size
  const all = deck.reduce((sum, { value, count }) => sum + value * count, 0)
  const values = deck.flatMap(({ value, count }) => Array<number>(count).fill(value)).sort((a, b) => b - a)
  const most = values.slice(0, rest).reduce((sum, value) => sum + value, 0)
  // By number of drawn cards and their sum: of the cards considered so far, the probability that this many are drawn.
  const drawn = Array.from({ length: rest + 1 }, () => new Float64Array(most + 1))
  drawn[0]![0] = 1
  let reached = 0
  for (const [seen, value] of values.entries()) {
    reached = Math.min(most, reached + value)
    // From the most cards down, so that each value is still the one before this card.
    for (let n = Math.min(rest, seen + 1); n >= 0; n--) {
      const here = drawn[n]!
      const keep = 1 - Math.max(0, (rest - n) / (size - seen))
      const before = drawn[n - 1]
      const take = (rest - n + 1) / (size - seen)
      for (let sum = reached; sum >= 0; sum--)
        here[sum] = here[sum]! * keep + (before && sum >= value ? before[sum - value]! * take : 0)
    }
  }
  const sums = drawn[rest]!
  const chances = new Float64Array(most + whole * all + 1)
  chances.set(sums, whole * all)
  return chances
}

/** How often any of some faces is called in n draws. */
export const callsOf = (n: number, faces: number): Chances => binomial(n, 1 / faces)
