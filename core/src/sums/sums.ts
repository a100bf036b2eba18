import { seededRandom } from '../distribution/seededRandom.ts'
import type { Operation, SumsBlock } from '../forms/sums/schema.ts'
import { lowestGrade, type Group } from '../terms/group.ts'
import { valueFor } from '../terms/perGroup.ts'

/** A sum as it is written: in symbols, which every language shares; for a double, which each language has a word for, also the numbers. */
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
 * The arithmetic of a grade if the teacher sets nothing else: within 10; within 20 with a missing number and doubles; tables; division; two
 * steps. Common practice, no source.
 */
export function operationsFor(grade: number): Operation[] {
  if (grade <= 0) return ['add']
  if (grade === 1) return ['add', 'subtract', 'missing']
  if (grade === 2) return ['add', 'subtract', 'missing', 'double']
  if (grade === 3) return ['subtract', 'missing', 'double', 'times']
  if (grade === 4) return ['times', 'divide', 'missing']
  return ['times', 'divide', 'twoSteps']
}

/** The largest number in a grade's sum: kindergarten and grade 1 calculate within ten. Common practice, no source. */
const largest = (grade: number): number => (grade <= 1 ? 10 : grade <= 2 ? 20 : 100)

/** Every sum of one operation with a given answer, small numbers first. */
const writers: Record<Operation, (answer: number, most: number) => Written[]> = {
  add: (n, most) =>
    range(Math.max(n <= 1 ? 0 : 1, n - most), Math.min(n - 1, most)).map((a) => ({ text: `${a} + ${n - a}` })),
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
 * The sums of a block for one group, one per station: answers inside the group's own range, with no sum and no answer repeated in a session
 * as far as the range allows. With `same`, groups of one range have the same answers, though the sums differ. A range above a grade's
 * numbers is kept: then both numbers stay within the grade's.
 *
 * @param asked sums and answers the group had before in the session; the new ones are added to it
 * @example sumsFor(newSums('b1') with two stations, { grades: [4, 5], … }) // [{ written: { text: '36 ÷ 4' }, answer: 9, … }, …]
 */
export function sumsFor(block: SumsBlock, group: Pick<Group, 'id' | 'grades'>, asked = new Set<string>()): Sum[] {
  const { from, to } = valueFor(block.range, group.id)
  const answers = seededRandom(block.seed + (block.same ? 0 : hash(group.id)))
  // Each group's own sums, from the same seed.
  const choice = seededRandom(block.seed + 1 + hash(group.id))
  const most = largest(lowestGrade(group))
  const sumsOf = (answer: number): { wanted: Sum[]; added: Sum[] } => {
    const by = (operation: Operation) =>
      writers[operation](answer, most).map((written): Sum => ({ written, answer, operation }))
    return { wanted: operationsOf(block, group).flatMap(by), added: by('add') }
  }
  const fresh = (sums: readonly Sum[]) => sums.filter((sum) => !asked.has(sum.written.text))
  // Groups with the same answers may have had different ones before: only this block's are left out.
  const fewer = block.same ? [] : range(from, to).filter((answer) => asked.has(answerKey(answer)))
  const draw = withoutReplacement(range(from, to), fewer, answers)
  return block.stations.map((): Sum => {
    const first = draw()
    const { wanted, added } = sumsOf(first)
    // An answer that no operation reaches becomes an addition, because every number is a sum. With answers of its own, a group that has had
    // all sums of an answer gets another answer before a sum repeats.
    const others = block.same
      ? []
      : range(from, to)
          .sort((a, b) => Number(asked.has(answerKey(a))) - Number(asked.has(answerKey(b))))
          .map((answer) => () => fresh(sumsOf(answer).wanted))
    const lists = [() => fresh(wanted), () => fresh(added), ...others, () => wanted, () => added]
    const from2 = firstFilled(lists)
    const sum = from2[Math.floor(choice() * from2.length)] ?? {
      written: { text: `${first}` },
      answer: first,
      operation: 'add' as const,
    }
    asked.add(sum.written.text)
    asked.add(answerKey(sum.answer))
    return sum
  })
}

/** An answer among the sums asked before. */
const answerKey = (answer: number) => `= ${answer}`

/** Draws in turn, each once before any repeats; those used before come last. */
function withoutReplacement(all: readonly number[], before: readonly number[], random: () => number): () => number {
  let left: number[] = []
  let first = true
  return () => {
    if (!left.length) {
      left = all.filter((n) => !first || !before.includes(n))
      if (!left.length) left = [...all]
      first = false
    }
    return left.splice(Math.floor(random() * left.length), 1)[0]!
  }
}

function firstFilled<T>(lists: readonly (() => T[])[]): T[] {
  for (const list of lists) {
    const found = list()
    if (found.length) return found
  }
  return []
}

/** A number from an id, so that each group has its own random numbers. */
const hash = (text: string): number => [...text].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 65_521, 7)
