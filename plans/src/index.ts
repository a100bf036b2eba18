// Old plans: text out of the files of other programs. Named exports only; what is in no list is nobody else's business.
export { planKinds, type PlanKind } from './kind.ts'
export { readPlan, type ReadPlan } from './readPlan.ts'
