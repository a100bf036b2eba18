// What a thoughtful colleague would say to a session. Named exports only; what is in no list is nobody else's business.
export { checkSession, type CheckOptions } from '../checks/checkSession.ts'
export { findingKey } from '../checks/findingKey.ts'
export type { Fix, MadeFix } from '../checks/fixes/fix.ts'
export { fixesOf, fixSearch } from '../checks/fixes/fixSearch.ts'
export { rules } from '../checks/registry.ts'
export {
  levels,
  ruleFamilies,
  type Facts,
  type Finding,
  type Level,
  type RuleId,
  type TermRuleId,
} from '../checks/rule.ts'
export type { CheckContext } from '../checks/view.ts'
export { sourcesOf } from '../checks/sourcesOf.ts'
export { leaveFinding, reopenFinding } from '../session/edits/answers.ts'
export { findingText, ruleText } from '../words/checks.ts'
export { fixText, fixWords } from '../words/fixes.ts'
