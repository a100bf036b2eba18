// A term: which session is done on which day. Named exports only: anything not listed is internal.
export { dateOf, dayNumber, daysOn, homeDays, isEasierWeek, openDays, weekdayOf, type HomeDay } from '../term/days.ts'
export { coverage, type Coverage, type CoverageKind, type WeekFacts } from '../term/coverage.ts'
export {
  changedDays,
  clearDay,
  comingsBefore,
  copiedTerm,
  keepFree,
  madeFor,
  moveDay,
  pinDay,
  placeSession,
  plannedTerm,
  strandedPlaces,
} from '../term/edits.ts'
export { planProblem, type PlanProblem } from '../term/planProblem.ts'

export { planTerm, type Planned, type Solved } from '../term/planTerm.ts'
export { termSession, type TermSession } from '../term/profile.ts'
export { newTerm, termDocument, termLimits, termSchema, type Place, type Term } from '../term/schema.ts'
export { testDays } from '../term/testDays.ts'
export { termMarkdown, termRows } from '../term/termRows.ts'
export { termStep } from '../term/step.ts'
export { checkTerm, termView, type TermFinding } from '../term/termRule.ts'
export { termRules } from '../term/termRules.ts'
export { mostNewMoves } from '../term/rules/newMovesAWeek.ts'
export { mostThings } from '../term/rules/thingsAWeek.ts'
