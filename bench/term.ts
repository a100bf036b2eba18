// A plan of twelve weeks: two home days, thirty sessions, test days, a holiday, found by searching or by the solver the pages use. Then
// the same mended: a session and a week were taken away. Beside checking one session in the same run.
import highsLoader from 'highs'
import { checkSession } from '@esfuerzo/core/checks'
import { newTerm, openDays, planProblem, planTerm, type Solved, type Term, type TermSession } from '@esfuerzo/core/term'
import { plannedTerm } from '../core/src/term/edits.ts'
import { seededRandom } from '../core/src/distribution/seededRandom.ts'
import { library } from '../core/test/sessions.ts'
import { shelf } from '../core/test/shelf.ts'
import { idOf, termSessionOf } from '../core/test/support/termPlans.ts'
import { times } from './times.ts'

const families = [
  'squat',
  'lunge',
  'hinge',
  'push',
  'pull',
  'brace',
  'curl',
  'twist',
  'jump',
  'travel',
  'balance',
] as const
const forms = ['intervals', 'rounds', 'chance', 'amrap', 'sets', 'calls', 'ladder'] as const
const highs = await highsLoader()
let asked = 0
const solve = async (lp: string): Promise<Solved | undefined> => {
  asked++
  const { Status, Columns, ObjectiveValue } = highs.solve(lp, { mip_rel_gap: 0, time_limit: 10 })
  if (!Number.isFinite(ObjectiveValue)) return undefined
  const columns = Object.fromEntries(Object.entries(Columns).map(([name, { Primal }]) => [name, Primal]))
  return { columns, proven: Status === 'Optimal' }
}

/** A term of a seed, with its sessions. */
function termOf(seed: number): { term: Term; known: TermSession[] } {
  const random = seededRandom(seed)
  const below = (n: number) => Math.floor(n * random())
  const known = Array.from({ length: 30 }, (_, i) =>
    termSessionOf(i, {
      families: families.filter(() => below(10) < 4),
      form: forms[below(forms.length)]!,
      strength: below(2) === 0,
      moderate: 4 + below(8),
      vigorous: below(9),
      tests: i === 29 ? ['pulse'] : [],
    }),
  )
  const week = 1 + below(10)
  const from = new Date(Date.UTC(2027, 0, 4 + 7 * week)).toISOString().slice(0, 10)
  const to = new Date(Date.UTC(2027, 0, 10 + 7 * week)).toISOString().slice(0, 10)
  return {
    known,
    term: {
      ...newTerm('Term', '2027-01-04'),
      days: [2, 3 + below(3)].map((weekday) => ({ weekday, at: '15:00' })),
      off: [{ from, to, name: 'Holiday' }],
      families: [...families],
      sessions: known.slice(0, 29).map((s) => s.id),
      tests: idOf(29),
    },
  }
}

const at = (list: readonly number[], share: number) =>
  [...list].sort((a, b) => a - b)[Math.min(list.length - 1, Math.floor(share * list.length))]!
const said = (list: readonly number[]) => `median ${Math.round(at(list, 0.5))} ms, p95 ${Math.round(at(list, 0.95))} ms`
const made: number[] = []
const mended: number[] = []
let proven = 0
let solved = 0
for (let seed = 1; seed <= 20; seed++) {
  const { term, known } = termOf(seed)
  asked = 0
  let start = performance.now()
  const problem = planProblem(term, known)
  const planned = await planTerm(problem, solve)
  made.push(performance.now() - start)
  solved += Number(asked > 0)
  proven += Number(planned?.proven ?? false)
  if (!planned) continue
  const there = plannedTerm(term, problem, planned.plan, new Map())
  const gone = there.places.find((p) => p.session !== term.tests)!.session!
  const day = openDays(there)[10]!
  const less: Term = {
    ...there,
    sessions: there.sessions.filter((id) => id !== gone),
    off: [...there.off, { from: day.date, to: day.date, name: 'Sports day' }],
  }
  start = performance.now()
  const again = await planTerm(planProblem(less, known, { mend: true }), solve)
  mended.push(performance.now() - start)
  proven += Number(again?.proven ?? false)
}
const { workout } = shelf(library)[0]!
const one = times(20, () => checkSession(workout, library)).median
console.log(
  `a plan: ${said(made)}, ÷ checking a session ${Math.round(at(made, 0.5) / one)}; ${solved} of 20 asked the solver`,
)
console.log(`a plan mended: ${said(mended)}; proven the best ${proven} of ${made.length + mended.length}`)
