// Imported plans: text from files of other programs. Named exports only: anything not listed is internal.
export { planKinds, type PlanKind } from './kind.ts'
export { readPlan, type ReadPlan } from './readPlan.ts'
