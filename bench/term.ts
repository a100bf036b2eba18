// A plan of twelve weeks: two home days, thirty sessions, test days, a holiday; found by search or by the solver the pages use. Then the
// same term repaired after a session and a week were removed. Beside checking one session in the same run.
import { readFileSync } from 'node:fs'
import highsLoader from 'highs'
import { readSessionText } from '@esfuerzo/core'
import { checkSession } from '@esfuerzo/core/checks'
import { planProblem, planTerm, type Solved } from '@esfuerzo/core/term'
import { library } from '../core/test/sessions.ts'
import { largeTerm, mendedTerm } from '../core/test/support/termPlans.ts'
import { times } from './times.ts'

const highs = await highsLoader()
let asked = 0
const solve = async (lp: string): Promise<Solved | undefined> => {
  asked++
  const { Status, Columns, ObjectiveValue } = highs.solve(lp, { mip_rel_gap: 0, time_limit: 10 })
  if (!Number.isFinite(ObjectiveValue)) return undefined
  const columns = Object.fromEntries(Object.entries(Columns).map(([name, { Primal }]) => [name, Primal]))
  return { columns, proven: Status === 'Optimal' }
}

const at = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))]!
const said = (list: readonly number[]) => `median ${Math.round(at(list, 0.5))} ms, p95 ${Math.round(at(list, 0.95))} ms`
const made: number[] = []
const mended: number[] = []
let proven = 0
let solved = 0
let mendedSolved = 0
for (let seed = 1; seed <= 20; seed++) {
  const { term, known } = largeTerm(seed)
  asked = 0
  let start = performance.now()
  const problem = planProblem(term, known)
  const planned = await planTerm(problem, solve)
  made.push(performance.now() - start)
  solved += Number(asked > 0)
  proven += Number(planned?.proven ?? false)
  if (!planned) continue
  const less = mendedTerm(term, problem, planned.plan)
  start = performance.now()
  asked = 0
  const again = await planTerm(planProblem(less, known, { mend: true }), solve)
  mended.push(performance.now() - start)
  mendedSolved += Number(asked > 0)
  proven += Number(again?.proven ?? false)
}
const session = readSessionText(readFileSync('bench/sessions/sixty-stations.json', 'utf8'))
const one = times(20, () => checkSession(session, library)).median
console.log(
  `a plan: ${said(made)}, ÷ checking sixty stations ${(at(made, 0.5) / one).toFixed(1)}; ${solved} of 20 asked the solver`,
)
console.log(
  `a plan mended: ${said(mended)}; ${mendedSolved} of ${mended.length} asked the solver; proven the best ${proven} of ${made.length + mended.length}`,
)
