import type { Facts, Level, TermRuleId } from '../checks/rule.ts'
import type { RulePolicies } from '../terms/checkLevel.ts'
import { homeDays } from './days.ts'
import type { TermSession } from './profile.ts'
import type { Term } from './schema.ts'

/** A day of a term with its contents. */
export interface PlacedDay {
  date: string
  number: number
  week: number
  session: TermSession
}

/** Everything the rules need of a term. */
export interface TermView {
  term: Term
  /** In order of day; without those in holidays and those of unknown sessions. */
  days: readonly PlacedDay[]
  /** Ids of exercises the class knew before the term. */
  met: ReadonlySet<string>
}

/** A finding about a term, as data. */
export interface TermFinding {
  rule: TermRuleId
  level: Level
  facts: Facts
}

/** One point to check in a term. */
export interface TermRule {
  id: TermRuleId
  level: Level
  find: (view: TermView) => Facts[]
}

/**
 * A term as rules see it.
 *
 * @param sessions by id
 * @param met ids of moves the class knew before
 */
export function termView(
  term: Term,
  sessions: ReadonlyMap<string, TermSession>,
  met: ReadonlySet<string> = new Set(),
): TermView {
  const open = new Map(homeDays(term).flatMap((d) => (d.off === undefined ? [[d.date, d] as const] : [])))
  const days = term.places
    .flatMap(({ date, session: id }): PlacedDay[] => {
      const [day, session] = [open.get(date), id === undefined ? undefined : sessions.get(id)]
      return day && session ? [{ date, number: day.number, week: day.week, session }] : []
    })
    .sort((a, b) => a.number - b.number)
  return { term, days, met }
}

/**
 * The checks of a term, in the order of the rules.
 *
 * @param policies the school's settings for single rules
 */
export const checkTerm = (view: TermView, rules: readonly TermRule[], policies: RulePolicies = {}): TermFinding[] =>
  rules.flatMap(({ id, level, find }) => {
    const here = policies[id] ?? level
    return here === 'off' ? [] : find(view).map((facts): TermFinding => ({ rule: id, level: here, facts }))
  })
