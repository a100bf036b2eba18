import type { Session } from '../../session/schema.ts'
import type { Library } from '../../library/library.ts'
import { checkSession, type CheckOptions } from '../checkSession.ts'
import { levels, type Finding } from '../rule.ts'
import { checkView } from '../view.ts'
import type { Candidate, FixMaker, FixWords, MadeFix } from './fix.ts'
import { makersFor } from './makersFor.ts'
import { sessionSeconds } from '../../timing/sessionSeconds.ts'

/** The place and groups of a finding, whatever its numbers. */
const place = ({ rule, where }: Finding): string =>
  [rule, where.section ?? '', where.block ?? '', where.station ?? ''].join('|')
const rank = ({ level }: Finding): number => levels.indexOf(level)
/** Number of edits of one kind that are tried. */
const mostTried = 12

/** Whether a finding is gone for the groups it was about. */
const isGone = (finding: Finding, after: readonly Finding[]): boolean =>
  !after.some(
    (other) =>
      other.rule === finding.rule &&
      (finding.where.station === undefined || other.where.station === finding.where.station) &&
      (finding.where.block === undefined || other.where.block === finding.where.block) &&
      (finding.groups.length === 0 || other.groups.some((id) => finding.groups.includes(id))),
  )

/** Whether no finding of the same weight was added: each of that weight existed before. */
function addsNothing(finding: Finding, before: readonly Finding[], after: readonly Finding[]): boolean {
  return after.every((other) => {
    if (rank(other) > rank(finding)) return true
    const same = before.filter((f) => place(f) === place(other) && rank(f) <= rank(other))
    return same.length > 0 && other.groups.every((id) => same.some((f) => f.groups.includes(id)))
  })
}

/** The first edit of a kind that removes the finding and adds none as bad. Yields after every try, so that nothing is blocked. */
function* firstThatHolds(
  tries: Iterable<Candidate>,
  holds: (session: Session) => boolean,
): Generator<undefined, Candidate | undefined> {
  let tried = 0
  for (const candidate of tries) {
    if (tried++ === mostTried) return undefined
    if (holds(candidate.session)) return candidate
    yield undefined
  }
  return undefined
}

/**
 * Looks for edits that resolve a finding, one after the other. Each was tried: the finding is gone and no finding of the same weight was
 * added. Yields each edit it finds, and `undefined` after each failed try so that a page can continue in between.
 *
 * @param options those the session was checked with
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function* fixSearch(
  session: Session,
  finding: Finding,
  library: Library,
  words: FixWords,
  options: CheckOptions = {},
): Generator<MadeFix | undefined, void> {
  const makers: readonly FixMaker[] = makersFor[finding.rule] ?? []
  if (!makers.length) return
  const view = checkView(session, library, options.context)
  const groups = finding.groups.length ? finding.groups : session.groups.map(({ id }) => id)
  const before = checkSession(session, library, options)
  const was = sessionSeconds(session, library)
  const holds = (edited: Session) => {
    const after = checkSession(edited, library, options)
    return isGone(finding, after) && addsNothing(finding, before, after)
  }
  for (const { id, candidates } of makers) {
    const found = yield* firstThatHolds(candidates({ view, finding, groups, words }), holds)
    if (!found) continue
    const now = sessionSeconds(found.session, library)
    const seconds = Object.fromEntries(Object.entries(now).map(([group, s]) => [group, Math.round(s - was[group]!)]))
    yield { id, ...found, seconds }
  }
}

/** All edits that remove a finding, at once. See {@link fixSearch}. */
export const fixesOf = (...search: Parameters<typeof fixSearch>): MadeFix[] =>
  [...fixSearch(...search)].filter((fix) => fix !== undefined)
