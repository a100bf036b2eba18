// What a thoughtful colleague would say to a session. Named exports only; what is in no list is nobody else's business.
export { checkSession } from '../checks/checkSession.ts'
export { levels, type Facts, type Finding, type Level, type RuleId } from '../checks/rule.ts'
export { findingText } from '../words/checks.ts'
