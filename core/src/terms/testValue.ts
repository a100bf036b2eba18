import type { Measure } from './measure.ts'

// Separate from the schema, so that a family's phone loads none of it.

/**
 * The cap of a test for a grade; undefined if there is none.
 *
 * @example capFor({ caps: [{ fromGrade: 3, value: 45 }, { fromGrade: 5, value: 60 }] }, 4) // 45
 */
export const capFor = ({ caps }: Pick<Measure, 'caps'>, grade: number): number | undefined =>
  caps.findLast((cap) => cap.fromGrade <= grade)?.value

/** A test's set-up by its id; the first if none is given or known. */
export const setUpOf = <S extends { id: string }>({ setUps }: { setUps: readonly S[] }, id?: string): S =>
  setUps.find((s) => s.id === id) ?? setUps[0]!

/**
 * The result of a day's tries, scored as the test defines.
 *
 * @param tries at least one
 * @example dayValue({ score: 'best', better: 'higher' }, [12, 14]) // 14
 */
export function dayValue({ score, better }: Pick<Measure, 'score' | 'better'>, tries: readonly number[]): number {
  const sum = tries.reduce((total, value) => total + value, 0)
  if (score === 'sum') return sum
  if (score === 'mean') return sum / tries.length
  return better === 'lower' ? Math.min(...tries) : Math.max(...tries)
}
