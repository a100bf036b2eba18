import type { Highs } from 'highs'
import type { PickProblem } from '../../src/pick/pickProblem.ts'

/**
 * A problem as a mixed-integer program in the LP format that solvers read: `x0` is 1 if the first candidate is picked, `y0` if the first
 * label with a bonus is among the picks.
 *
 * @example picksLp({ count: 1, candidates: [{ id: 'a', score: 2, labels: [] }] }) // 'Maximize\n obj: 2 x0\nSubject To\n …'
 */
function picksLp({ count, candidates, forced = [], worth = {}, least = {}, most = {} }: PickProblem): string {
  const x = candidates.map((_, i) => `x${i}`)
  const withLabel = (label: string) => x.filter((_, i) => candidates[i]!.labels.includes(label))
  const worths = Object.entries(worth).filter(([label]) => withLabel(label).length)
  const sum = (terms: readonly string[]) => terms.join(' + ')
  const objective = [
    ...candidates.map(({ score }, i) => `${score} x${i}`),
    ...worths.map(([, value], j) => `${value} y${j}`),
  ]
  // A constraint without a term is always broken or always met: the first makes the problem infeasible, the second is left out.
  const lines = [
    `${sum(x)} = ${count}`,
    ...Object.entries(least).flatMap(([label, n]) => {
      const terms = withLabel(label)
      return terms.length ? [`${sum(terms)} >= ${n}`] : n > 0 ? [`${sum(x)} >= ${count + 1}`] : []
    }),
    ...Object.entries(most).flatMap(([label, n]) => {
      const terms = withLabel(label)
      return terms.length ? [`${sum(terms)} <= ${n}`] : []
    }),
    ...worths.map(([label], j) => `y${j} - ${withLabel(label).join(' - ')} <= 0`),
    ...forced.map((id) => `x${candidates.findIndex((c) => c.id === id)} = 1`),
  ]
  const binaries = [...x, ...worths.map((_, j) => `y${j}`)]
  return [
    'Maximize',
    ` obj: ${objective.join(' + ').replaceAll('+ -', '- ')}`,
    'Subject To',
    ...lines.map((line, i) => ` c${i}: ${line}`),
    'Binary',
    ` ${binaries.join(' ')}`,
    'End',
  ].join('\n')
}

/** A problem solved by an independent package: the value of its best picks, and which they are; undefined if there are none. */
export function solvedBy(highs: Highs, problem: PickProblem): { score: number; ids: string[] } | undefined {
  const answer = highs.solve(picksLp(problem), { mip_rel_gap: 0 })
  if (answer.Status !== 'Optimal') return undefined
  return {
    score: answer.ObjectiveValue,
    ids: problem.candidates.flatMap(({ id }, i) => (answer.Columns[`x${i}`]!.Primal > 0.5 ? [id] : [])),
  }
}
