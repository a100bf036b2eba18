import { latest, soonest, type PlanProblem } from './planProblem.ts'

/** One session on the days of a series. */
export interface Series {
  session: number
  days: readonly number[]
}

/** Every series each session could have, by its first day. */
export function seriesOf({ days, sessions, free, calm }: PlanProblem): Series[][] {
  const taken = new Map(sessions.flatMap(({ fixed }, k) => fixed.map((i) => [i, k] as const)))
  const byFirst: Series[][] = days.map(() => [])
  const near = days.map((day) =>
    [...days.keys()].filter((i) => days[i]!.number - day.number >= soonest && days[i]!.number - day.number <= latest),
  )
  for (const [session, { only, fixed, hard }] of sessions.entries()) {
    if (only) continue
    const may = (i: number) => (taken.has(i) ? taken.get(i) === session : !free.has(i) && !(hard && calm.has(i)))
    const add = (series: readonly number[]) => {
      if (fixed.every((i) => series.includes(i))) byFirst[series[0]!]!.push({ session, days: series })
    }
    for (const first of days.keys()) {
      if (!may(first)) continue
      for (const second of near[first]!.filter(may)) {
        add([first, second])
        for (const third of near[second]!.filter(may)) add([first, second, third])
      }
    }
  }
  return byFirst
}

/** Sessions with days of their own, there; undefined elsewhere. */
export const fixedDays = ({ days, sessions }: PlanProblem): (number | undefined)[] =>
  days.map((_, i) => {
    const own = sessions.findIndex((s) => s.only && s.fixed.includes(i))
    return own < 0 ? undefined : own
  })
