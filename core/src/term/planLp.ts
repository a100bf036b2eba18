import type { Form } from '../session/forms.ts'
import { Program, sum, total, type Linear } from './linear.ts'
import { familyWithin, latest, soonest, type PlanProblem } from './planProblem.ts'
import type { Plan, PlanScore } from './planScore.ts'

/** One session on one day of its series: the first time, or following on from an earlier day. */
interface Coming {
  name: string
  session: number
  day: number
  from?: number
}

/** Every way the sessions may come: a first time, a second, a third. */
interface Comings {
  first: Coming[]
  second: Coming[]
  third: Coming[]
  /** By the day. */
  on: readonly Coming[][]
}

function comingsOf({ days, sessions, free, calm }: PlanProblem): Comings {
  const taken = new Set(sessions.filter((s) => s.only).flatMap((s) => s.fixed))
  const found: Comings = { first: [], second: [], third: [], on: days.map(() => []) }
  const add = (list: Coming[], coming: Coming) => {
    list.push(coming)
    found.on[coming.day]!.push(coming)
  }
  for (const [session, { only, fixed, hard }] of sessions.entries()) {
    if (only) continue
    const may = [...days.keys()].filter(
      (i) => fixed.includes(i) || !(free.has(i) || taken.has(i) || (hard && calm.has(i))),
    )
    for (const day of may) {
      add(found.first, { name: `s${session}_${day}`, session, day })
      for (const from of may) {
        const gap = days[day]!.number - days[from]!.number
        if (gap < soonest || gap > latest) continue
        add(found.second, { name: `a${session}_${from}_${day}`, session, day, from })
        add(found.third, { name: `b${session}_${from}_${day}`, session, day, from })
      }
    }
  }
  return found
}

const grouped = (list: readonly Coming[], key: (one: Coming) => string): ((key: string) => string[]) => {
  const map = new Map<string, string[]>()
  for (const one of list) {
    const there = map.get(key(one))
    if (there) there.push(one.name)
    else map.set(key(one), [one.name])
  }
  return (key) => map.get(key) ?? []
}

/** Sessions on a day that a rule is about, including those with days of their own. */
type OnDay = (day: number, holds?: (session: number) => boolean) => Linear

const onDay =
  ({ sessions }: PlanProblem, { on }: Comings): OnDay =>
  (day, holds = () => true) => {
    const own = sessions.findIndex((s) => s.only && s.fixed.includes(day))
    const names = on[day]!.filter((c) => holds(c.session)).map((c) => c.name)
    return sum([total(names)], [own >= 0 && holds(own) ? 1 : 0])
  }

/** A session starts once, comes a second time, perhaps a third; fixed ones stay; a day has one session. */
function seriesLines(program: Program, problem: PlanProblem, { first, second, third, on }: Comings, at: OnDay): void {
  const at_ = (c: Coming) => `${c.session} ${c.day}`
  const from_ = (c: Coming) => `${c.session} ${c.from}`
  const begins = grouped(first, (c) => String(c.session))
  const beginsOn = grouped(first, at_)
  const [secondOn, secondFrom] = [grouped(second, at_), grouped(second, from_)]
  const thirdFrom = grouped(third, from_)
  const comesOn = grouped(on.flat(), at_)
  for (const { name } of on.flat()) program.binary(name)
  for (const [k, { only, fixed }] of problem.sessions.entries()) {
    if (only) continue
    program.line(total(begins(String(k))), fixed.length ? '=' : '<=', 1)
    for (const i of problem.days.keys()) {
      const key = `${k} ${i}`
      program.line(sum([total(secondFrom(key))], [total(beginsOn(key)), -1]), '=', 0)
      if (thirdFrom(key).length) program.line(sum([total(thirdFrom(key))], [total(secondOn(key)), -1]), '<=', 0)
    }
    for (const i of fixed) program.line(total(comesOn(`${k} ${i}`)), '=', 1)
  }
  for (const i of problem.days.keys()) program.line(at(i), '<=', 1)
}

/** Families that are met, as variables: each comes twice, the second time soon enough after the first. */
function familyLines(
  program: Program,
  { days, sessions, families }: PlanProblem,
  { first }: Comings,
  at: OnDay,
): Linear {
  const met = families.map((family, f) => {
    const holds = (k: number) => sessions[k]!.families.includes(family)
    const name = program.binary(`f${f}`)
    // A series repeats within two weeks, so it is enough that one of its sessions comes.
    if (!sessions.some((s, k) => s.only && holds(k))) {
      const begin = first.filter((c) => holds(c.session)).map((c) => c.name)
      program.line(sum([name], [total(begin), -1]), '<=', 0)
      return name
    }
    const each = [...days.keys()].map((i) => at(i, holds))
    program.line(sum([name, 2], [total(each), -1]), '<=', 0)
    for (const [i, here] of each.entries()) {
      const soon = each.filter((_, e) => e > i && days[e]!.number - days[i]!.number <= familyWithin)
      // If it comes here for the first time, it comes again soon.
      program.line(sum([name], [here], [total(each.slice(0, i)), -1], [total(soon), -1]), '<=', 1)
    }
    return name
  })
  return total(met)
}

/** Days that differ from before. */
function changesOf({ days, before }: PlanProblem, at: OnDay): Linear {
  if (!before) return total([])
  return total(
    [...days.keys()].map((i) => {
      const there = before[i]!
      if (there === 'gone') return total([])
      return there === 'empty' ? at(i) : sum([1], [at(i, (k) => k === there), -1])
    }),
  )
}

/** Neighboring days on which different sessions have the same form, or strength work falls on two consecutive calendar days. */
function apartLines(program: Program, { days, sessions }: PlanProblem, { on }: Comings, at: OnDay): Linear {
  const names: string[] = []
  const forms = [...new Set(sessions.flatMap((s): Form[] => (s.form ? [s.form] : [])))]
  const over = (name: string, both: Linear) => {
    if (!both.of.size) return
    program.line(sum([both], [program.binary(name), -1]), '<=', 1)
    names.push(name)
  }
  for (const i of [...days.keys()].slice(0, -1)) {
    for (const [n, form] of forms.entries()) {
      const holds = (k: number) => sessions[k]!.form === form
      const own = sessions.some((s) => s.only && s.form === form && s.fixed.includes(i) && s.fixed.includes(i + 1))
      // The same session on both days does not count as different.
      const same = on[i + 1]!.filter((c) => c.from === i && holds(c.session)).map((c) => c.name)
      over(`t${i}_${n}`, sum([at(i, holds)], [at(i + 1, holds)], [total(same), -1], [own ? -1 : 0]))
    }
    if (days[i + 1]!.number - days[i]!.number === 1) {
      const holds = (k: number) => sessions[k]!.strength
      over(`q${i}`, sum([at(i, holds)], [at(i + 1, holds)]))
    }
  }
  return total(names)
}

/** Minutes by which weeks have too many or too few. */
function unevenLines(program: Program, { weeks, sessions }: PlanProblem, at: OnDay): Linear {
  return total(
    weeks.map(({ days: own, from, to }, w) => {
      const loads = [...new Set(sessions.map((s) => s.load))]
      const minutes = sum(
        ...own.flatMap((i) => loads.map((load) => [at(i, (k) => sessions[k]!.load === load), load] as const)),
      )
      const name = `e${w}`
      program.line(sum([minutes], [name, -1]), '<=', to)
      program.line(sum([minutes], [name]), '>=', from)
      return name
    }),
  )
}

/**
 * A plan as a mixed-integer program in the LP format. First stage: as many days filled, as few changed, as many families met as possible,
 * in that order. Second stage, keeping those: forms and strength days apart and weeks even.
 *
 * @param reached the result of the first stage
 */
export function planLp(problem: PlanProblem, reached?: Pick<PlanScore, 'filled' | 'changes' | 'families'>): string {
  const program = new Program()
  const comings = comingsOf(problem)
  const at = onDay(problem, comings)
  seriesLines(program, problem, comings, at)
  const met = familyLines(program, problem, comings, at)
  const filled = total([...problem.days.keys()].map((i) => at(i)))
  const changes = changesOf(problem, at)
  const [ofChange, ofDay] = [problem.families.length + 1, (problem.families.length + 1) * (problem.days.length + 1)]
  if (!reached) return program.maximize(sum([filled, ofDay], [changes, -ofChange], [met]))
  program.line(filled, '>=', reached.filled)
  program.line(changes, '<=', reached.changes)
  program.line(met, '>=', reached.families.length)
  const apart = apartLines(program, problem, comings, at)
  const uneven = unevenLines(program, problem, at)
  const most = 1 + Math.max(0, ...problem.sessions.map((s) => s.load)) * problem.days.length * 2
  return program.maximize(sum([apart, -most], [uneven, -1]))
}

/** The plan in a solver's solution. @param primal the value of each variable, by its name */
export function planFrom(problem: PlanProblem, primal: (name: string) => number): Plan {
  const { on } = comingsOf(problem)
  return problem.days.map((_, i) => {
    const own = problem.sessions.findIndex((s) => s.only && s.fixed.includes(i))
    return own >= 0 ? own : on[i]!.find((c) => primal(c.name) > 0.5)?.session
  })
}
