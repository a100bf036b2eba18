// The next session, from results. Named exports only: anything not listed is internal.
export { cameBackOf, cameBackSchema, isUnsaidClean, saidClean, signalOf, type CameBack } from '../nextTime/cameBack.ts'
export { applyNext, nextTime, nextTitle, type LaneNext, type NextChange } from '../nextTime/nextTime.ts'
