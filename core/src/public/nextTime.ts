// What comes next, from what came back. Named exports only; what is in no list is nobody else's business.
export { cameBackOf, cameBackSchema, isUnsaidClean, saidClean, signalOf, type CameBack } from '../nextTime/cameBack.ts'
export { applyNext, nextTime, nextTitle, type LaneNext, type NextChange } from '../nextTime/nextTime.ts'
