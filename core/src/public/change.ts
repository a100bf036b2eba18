// What changed between tests, and how certain it is. Named exports only: anything not listed is internal.
export { classChange, signInterval } from '../change/classChange.ts'
export { classPace, type ClassPace, type PacedRun } from '../change/classPace.ts'
export { pacedRun } from '../change/pacedRun.ts'
export { hitsError, onScale } from '../change/scale.ts'
export {
  lessonChange,
  testChange,
  type ChildChange,
  type TestChange,
  type Try,
  type Unsaid,
} from '../change/testChange.ts'
export { sidesOf, type TestDay } from '../change/testDays.ts'
export { tQuantile } from '../change/tQuantile.ts'
export { differenceVariance, typicalError } from '../change/typicalError.ts'
export { changeVerdict, clearByChance } from '../change/verdict.ts'
