import { seededRandom } from '../chance/seededRandom.ts'
import type { Operation, SumsBlock } from '../workout/forms/sums.ts'
import { lowestGrade, type Group } from '../workout/group.ts'
import { valueFor } from '../workout/perGroup.ts'

/** A sum as it is written: in signs, which every language has; of a double, which each has its word for, the numbers too. */
export interface Written {
  text: string
  double?: number
  plus?: number
}

/** A sum whose answer is a dose. */
export interface Sum {
  written: Written
  answer: number
  operation: Operation
}

/**
 * What a grade reckons with, where the teacher says nothing else: within 10; within 20 with a missing part and doubles;
 * tables; dividing; two steps. Common practice, no source.
 */
export function operationsFor(grade: number): Operation[] {
  if (grade <= 0) return ['add']
  if (grade === 1) return ['add', 'subtract', 'missing']
  if (grade === 2) return ['add', 'subtract', 'missing', 'double']
  if (grade === 3) return ['subtract', 'missing', 'double', 'times']
  if (grade === 4) return ['times', 'divide', 'missing']
  return ['times', 'divide', 'twoSteps']
}

/** The largest number that may stand in a grade's sum. */
const largest = (grade: number): number => (grade <= 0 ? 10 : grade <= 2 ? 20 : 100)

/** Every sum of one operation that comes to an answer, small numbers first. */
const writers: Record<Operation, (answer: number, most: number) => Written[]> = {
  add: (n) => range(n <= 1 ? 0 : 1, n - 1).map((a) => ({ text: `${a} + ${n - a}` })),
  subtract: (n, most) => range(1, Math.min(10, most - n)).map((b) => ({ text: `${n + b} − ${b}` })),
  missing: (n, most) => range(1, Math.min(10, most - n)).map((b) => ({ text: `${b} + ? = ${n + b}` })),
  double: (n) =>
    n % 2 === 0
      ? [{ text: `2 × ${n / 2}`, double: n / 2 }]
      : [{ text: `2 × ${(n - 1) / 2} + 1`, double: (n - 1) / 2, plus: 1 }],
  times: (n) => range(2, 10).flatMap((a) => (n % a === 0 && n / a <= 10 ? [{ text: `${a} × ${n / a}` }] : [])),
  divide: (n, most) => range(2, 10).flatMap((b) => (n * b <= most ? [{ text: `${n * b} ÷ ${b}` }] : [])),
  twoSteps: (n) =>
    range(2, 5).flatMap((a) =>
      range(2, 9).flatMap((b) => (a * b > n && a * b - n <= 9 ? [{ text: `${a} × ${b} − ${a * b - n}` }] : [])),
    ),
}
const range = (from: number, to: number): number[] =>
  Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i)

const operationsOf = (block: SumsBlock, group: Pick<Group, 'grades'>): Operation[] =>
  block.operations ?? operationsFor(lowestGrade(group))

/**
 * The sums of a block for one group, one a station: no sum twice, answers inside the range. With `same` every group
 * has the same answers, though the sums differ.
 *
 * @example sumsFor(newSums('b1') with two stations, { grades: [4, 5], … }) // [{ written: { text: '36 ÷ 4' }, answer: 9, … }, …]
 */
export function sumsFor(block: SumsBlock, group: Pick<Group, 'id' | 'grades'>): Sum[] {
  const { from, to } = block.same ? block.range.all : valueFor(block.range, group.id)
  const answers = seededRandom(block.seed)
  // Each group's own sums, from the same seed.
  const choice = seededRandom(block.seed + 1 + hash(group.id))
  const most = largest(lowestGrade(group))
  const used = new Set<string>()
  return block.stations.map((): Sum => {
    const wanted = from + Math.floor(answers() * (to - from + 1))
    // An answer none of the operations comes to is added up to instead: every number has a sum.
    const all = operationsOf(block, group).flatMap((operation) =>
      writers[operation](wanted, most).map((written) => ({ written, answer: wanted, operation })),
    )
    const plain = writers.add(wanted, most).map((written) => ({ written, answer: wanted, operation: 'add' as const }))
    const fresh = [all, plain].map((list) => list.filter((s) => !used.has(s.written.text))).find((list) => list.length)
    const from2 = fresh ?? (all.length ? all : plain)
    const sum = from2[Math.floor(choice() * from2.length)] ?? {
      written: { text: `${wanted}` },
      answer: wanted,
      operation: 'add' as const,
    }
    used.add(sum.written.text)
    return sum
  })
}

/** A number from an id, so that each group's chance is its own. */
const hash = (text: string): number => [...text].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 65_521, 7)
