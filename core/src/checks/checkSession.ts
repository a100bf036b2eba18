import type { Library } from '../library/library.ts'
import type { Session } from '../session/schema.ts'
import type { RulePolicies } from '../terms/checkLevel.ts'
import { findingKey } from './findingKey.ts'
import { rules } from './registry.ts'
import { levels, type Finding, type Level, type Rule } from './rule.ts'
import { checkView, type CheckContext } from './view.ts'

/** What a session is checked with besides itself. */
export interface CheckOptions {
  /** The school's weights for single checks. */
  policies?: RulePolicies
  context?: CheckContext
}

/** A finding's weight in this school; undefined if the rule is off. A weight of *fix* is never lowered. */
function levelHere(found: Level, rule: Rule, policies: RulePolicies): Level | undefined {
  const policy = policies[rule.id]
  if (!policy || rule.level === 'stop') return found
  return policy === 'off' ? undefined : policy
}

/**
 * All findings of a session: fix first, then advice, then tips, each in the order of the rules. A finding the teacher ignored carries her
 * reason.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 */
export function checkSession(
  session: Session,
  library: Library,
  { policies = {}, context = {} }: CheckOptions = {},
): Finding[] {
  const view = checkView(session, library, context)
  const answers = new Map(session.answered?.map(({ finding, reason }) => [finding, reason]))
  return (rules as readonly Rule[])
    .flatMap((rule) =>
      rule.find(view).flatMap((found): Finding[] => {
        const level = levelHere(found.level ?? rule.level, rule, policies)
        if (!level) return []
        const finding: Finding = { rule: rule.id, ...found, level }
        const answered = answers.get(findingKey(finding))
        return [answered === undefined ? finding : { ...finding, answered }]
      }),
    )
    .sort((a, b) => levels.indexOf(a.level) - levels.indexOf(b.level))
}
