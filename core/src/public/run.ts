// How a child runs a session, and its results. Named exports only: anything not listed is internal.
export { asksPulse, countsOf, pulsesAsked } from '../run/asksPulse.ts'
export { feltScale } from '../run/felt.ts'
export { mostCountedSteps, runFormat, runVersion, writtenRun } from '../run/runFormat.ts'
export { surveyQuestions } from '../run/survey.ts'
export {
  runDocument,
  runSchema,
  type CountedStep,
  type Felt,
  type Pulse,
  type Result,
  type Run,
  type Survey,
} from '../run/schema.ts'
export {
  advance,
  back,
  choose,
  done,
  makeEasier,
  moreTime,
  pause,
  pick,
  resume,
  secondsAfter,
  skip,
  startRun,
  stepElapsed,
  stepsDone,
  stepView,
  tick,
  type LaneState,
  type PlayerState,
  type Start,
  type StepView,
} from '../run/player.ts'
export { playedOf } from '../run/formPlayed.ts'
export { courseOf, type Course, type PlayedStep } from '../run/course.ts'
export { drawn, drawOutcome, startChance, taskDone, type DrawOutcome } from '../forms/chance/game.ts'
export { leftCounted } from '../run/countedSteps.ts'
export { pulseRate } from '../results/pulse.ts'
export { decodeHeartRate, encodeHeartRate } from '../results/heartRate.ts'
export { doneAs, type DoneAs } from '../run/doneAs.ts'
export {
  laneReader,
  nextShown,
  type Called,
  type LaneClock,
  type Nth,
  type Prompt,
  type Where,
} from '../run/laneShown.ts'
export { tossed } from '../forms/chance/things.ts'
export { resultKinds, pulseKinds, resultRows, type ResultKind } from '../run/resultRows.ts'
export { runProblems } from '../run/runProblems.ts'
