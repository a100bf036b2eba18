// The public list of the computation. Named exports only; what is not here is nobody else's business.
export {
  problemCodes,
  pathText,
  ProblemError,
  rule,
  rules,
  type Expected,
  type Problem,
  type Received,
} from './base/problem.ts'
export { zodProblems } from './base/zodProblems.ts'
export { sameValue } from './base/sameValue.ts'

export { idSchema } from './base/id.ts'
export { limits } from './base/limits.ts'
export { cleanText, lineSchema } from './base/text.ts'
export { canonical, hasOwn, mapGroups, valueFor, type PerGroup, type Scope } from './terms/perGroup.ts'
export { stepAmount, type Amount, type Dose, type Unit } from './terms/dose.ts'
export { defaultGradeNames, gradesName, letters, type Group, type Letter } from './terms/group.ts'
export { cellAt, type Cell, type Face, type LapChange, type Station, type Tempo } from './session/station.ts'
export { type Lap } from './forms/intervals/schema.ts'
export { rungs, rungsFor } from './forms/ladder/schema.ts'
export { chanceTable, deviceFaces, type Device, isChance } from './forms/chance/schema.ts'
export { type Question } from './forms/quiz/schema.ts'
export { amrapRounds } from './forms/amrap/time.ts'
export { binomial, mean, quantile, spreadOf, type Chances, type Spread } from './distribution/chances.ts'
export { clearedDraws, firstCleared, sumOfCards, sumOfDraws } from './distribution/draws.ts'
export { chanceOutlook, type ChanceOutlook, type LineOutlook } from './chance/outlook.ts'
export { childSpread, simulate, type SimulateOptions } from './chance/simulate.ts'
export { finishOf, type Finish } from './chance/finish.ts'
export { lognormalFactors } from './distribution/lognormal.ts'
export { seededRandom } from './distribution/seededRandom.ts'
export { proposeQuiz, type QuizWords } from './quiz/proposeQuiz.ts'
export { operationsFor, sumsFor, type Sum } from './sums/sums.ts'
export { forms, hasStations, stationsOf, type Block, type BlockOf, type Form } from './session/forms.ts'
export { formTraits, traitsOf } from './session/formTraits.ts'
export type { FormTraits } from './session/plainTraits.ts'
export {
  isKept,
  roles,
  workoutSchema,
  type Aim,
  type Home,
  type Role,
  type Section,
  type Workout,
} from './session/schema.ts'
export { buildsSchema, type Builds } from './terms/builds.ts'
export { spaceSchema, type Space } from './terms/space.ts'
export { newWorkout } from './session/newWorkout.ts'
export { migrate } from './documents/migrate.ts'
export { readDocument, writtenDocument, type DocumentKind, type DocumentOf } from './documents/document.ts'
export { readDocumentText, writtenText } from './documents/documentText.ts'
export { readCarried, writtenCarried } from './documents/carried.ts'
export { allDocumentKinds, documentKinds } from './documentKinds.ts'
export { readWorkout, readWorkoutText, workoutDocument } from './session/readWorkout.ts'
export { findBlock, findStation, idsOf } from './session/edits/locate.ts'
export { addSection, duplicateSection, moveSection, removeSection, setSection } from './session/edits/sections.ts'
export { addBlock, duplicateBlock, moveBlock, removeBlock, setBlock, setBlockWords } from './session/edits/blocks.ts'
export {
  addStation,
  duplicateStation,
  moveStation,
  removeStation,
  reorderStations,
  setCell,
  setStation,
} from './session/edits/stations.ts'
export { addGroup, removeGroup, setGroup } from './library/groupEdits.ts'
export { setDetails } from './session/edits/details.ts'
export { pastePart, pasteParts } from './session/edits/pastePart.ts'
export { moveBlockTo, moveSectionTo, moveStationsTo } from './session/edits/moveTo.ts'
export { joinWorkouts } from './session/edits/joinWorkouts.ts'
export { likeGroups, partDocument, partOf, partSchema, readPart, type Part } from './session/part.ts'
export { differences, type Difference } from './session/differences.ts'
export {
  holdPolicies,
  newSettings,
  settingsDocument,
  settingsSchema,
  warmUpStyles,
  zoneSchema,
  type Policy,
  type Settings,
} from './terms/settings.ts'

export { families, moveSchema, postureSchema, sidesSchema, type Family, type Move, type Version } from './terms/move.ts'
export {
  indexLibrary,
  readLibrary,
  type KitItem,
  type Library,
  type LibraryData,
  type Muscle,
} from './library/library.ts'
export { performedBy, versionFor } from './library/versionFor.ts'
export { cellsFor, firstDose } from './library/cellsFor.ts'
export { referenceProblems } from './library/referenceProblems.ts'
export { searchMoves } from './choose/searchMoves.ts'
export { carryMoves, libraryFor } from './library/carryMoves.ts'
export {
  copyOfMove,
  isOwnId,
  mostOwnMoves,
  movesDocument,
  movesFile,
  movesFileSchema,
  movesFormat,
  ownMoveSchema,
  type MovesFile,
  type OwnMove,
} from './terms/ownMove.ts'
export { ownMoveProblems, readMoves, withOwnMoves, type ReadMoves } from './library/ownMoves.ts'
export { filterMoves, musclesOf, type MoveFilter } from './choose/filterMoves.ts'
export { putCells, putMove, type Place } from './choose/putMove.ts'
export { versionAtHome } from './choose/versionAtHome.ts'
export { likeMoves, type LikeMove } from './choose/likeMoves.ts'
export { hasKit, obstacles, versionsFor, type Obstacle } from './home/obstacles.ts'
export { fetchList, type Fetch } from './home/fetchList.ts'
export { bookKg, papers, sheets, type Book, type Cover, type Paper, type Sheet } from './load/paper.ts'
export { fromKg, toKg, toLitres, volumeUnits, weightUnits, type VolumeUnit, type WeightUnit } from './load/units.ts'
export { gradesFor, homeKg, mostKg, nextStep, type Held, type HomeThing, type NextStep } from './load/homeWeight.ts'

export { timingDefaults } from './timing/defaults.ts'
export { breathSeconds, defaultPace } from './timing/pace.ts'
export { clocked, type Span } from './timing/span.ts'
export { countedWork, secondsPerRep } from './timing/countedWork.ts'
export { changeSeconds, postureSeconds, startStance } from './timing/changeOver.ts'
export { explainingSeconds } from './timing/explaining.ts'
export { isTooLong, laneProblems, sessionProblems, timeline } from './timing/timeline.ts'
export { sessionSeconds } from './timing/sessionSeconds.ts'
export { sessionView, stepAt, type LaneView } from './timing/sessionView.ts'
export { totals, type SessionTotals } from './timing/totals.ts'
export { type Say, type SayCode, type Step } from './timing/step.ts'
export { blockLines, type Line, type LineUse } from './bounds/blockLines.ts'
export { gradeLines, type GradeLines } from './bounds/gradeLines.ts'
export { fit, fullWithin, type FitAnswer, type FitHold, type FitOptions, type FitWay } from './fit/fit.ts'
export { finishTogether, fitBuilder, type BuiltFit } from './fit/buildFit.ts'
export { applyFit, type FitChange } from './fit/fitChanges.ts'
export { solveFit } from './fit/solveFit.ts'
export { type FitBlock, type FitProblem, type FitSolution, type Passage } from './fit/fitProblem.ts'
export { arrange, canArrange, orderFindings, type ArrangeAnswer, type OrderFindings } from './arrange/arrange.ts'
export { orderBound } from './arrange/orderBound.ts'
export { orderCost, orderDistance, type OrderProblem } from './arrange/orderProblem.ts'
export { exactTo, orderStations, type OrderSolution } from './arrange/orderStations.ts'
export { type LeverKind } from './fit/lever.ts'

export { minutesText, parseSeconds } from './timing/minutesText.ts'

export { floorY, lengths, radius, clearance, type Joints, type Point } from './figure/body.ts'
export { figureSchema, limbNames, type Figure, type LimbName, type Pose, type Prop } from './figure/schema.ts'
export { keyMoments, pose, stillAt } from './figure/pose.ts'
export { clampFigure, clampPose, jointLimits } from './figure/jointLimits.ts'
export { angleOf, angleTo, handles, mirrorPose, turnJoint, type Handle } from './figure/turnJoint.ts'
export { propHeights, type Stroke } from './figure/props.ts'
export { drawFigure, type Drawing } from './figure/drawFigure.ts'
export { figureSvg, figureSvgContent } from './figure/figureSvg.ts'

export { moveNames, sayName, type Names } from './words/names.ts'
export { formSentences } from './words/formWords.ts'
export { doseWords, sayText, sentences } from './words/say.ts'
export { careText } from './words/care.ts'
export { recordRows, type RecordRow } from './sheets/recordRows.ts'
export { sheetRows } from './sheets/sheetRows.ts'
export type { SheetBlock, SheetRow, SheetSection } from './sheets/sheetBlock.ts'
export { partTitle } from './words/parts.ts'
export { languageOf, languages, phrasesIn, type Language, type Phrases } from './terms/language.ts'
export { problemsInEnglish } from './words/en/problems.ts'
export { problemSentence, problemText } from './words/problems.ts'
export type { ProblemWords } from './words/problemWords.ts'

export { printDose, readDose, takeDose } from './notation/dose.ts'
export { printCell, readCell, readNamedCell } from './notation/cell.ts'
export { formNotations, notationOf, printBlockFor, readBlockFor } from './notation/formNotations.ts'
export { type Fact } from './notation/facts.ts'
export { apply } from './notation/apply.ts'
export { parse, type Parsed } from './notation/parse.ts'
export { print } from './notation/print.ts'
export { strip } from './notation/strip.ts'
export { type TextProblem } from './notation/textProblem.ts'

export { publish } from './publication/publish.ts'
export {
  publicationDocument,
  publicationSchema,
  type Lane,
  type Publication,
  type PublishedMove,
} from './publication/schema.ts'
export { type Play, type PlayedTurn, type PlayOf } from './publication/playSchema.ts'
export { feltScale } from './run/felt.ts'
export { mostCountedSteps, runFormat, runVersion } from './run/runFormat.ts'
export { surveyQuestions } from './run/survey.ts'
export {
  runDocument,
  runSchema,
  type CountedStep,
  type Felt,
  type Pulse,
  type Result,
  type Run,
  type Survey,
} from './run/schema.ts'
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
  stationAt,
  stepElapsed,
  stepLimit,
  stepsDone,
  stepView,
  tick,
  type LaneState,
  type PlayerState,
  type Start,
  type StepView,
} from './run/player.ts'
export { playedOf } from './run/formPlayed.ts'
export { courseOf, playedSteps, type Course, type PlayedStep } from './run/course.ts'
export {
  drawn,
  drawOutcome,
  repsOfCard,
  startChance,
  taskDone,
  tossed,
  type ChanceGame,
  type ChanceTask,
  type Outcome,
} from './run/chanceGame.ts'
export { leftCounted } from './run/countedSteps.ts'
export { pulseRate, type PulseRate } from './results/pulse.ts'
export { decodeHeartRate, encodeHeartRate, type HeartRate } from './results/heartRate.ts'
export { doneAs, type DoneAs } from './run/doneAs.ts'
export { stepCues, type Cue } from './cues/stepCues.ts'
export { captions, endOf, trackCues, type CallWords, type Caption } from './cues/captions.ts'
export { subRip, webVtt } from './formats/captionFiles.ts'
export { clickTrack, sampleRate } from './formats/clickTrack.ts'
export { markdown } from './formats/markdown.ts'
export { cuesAhead, type LaneCue } from './cues/cuesAhead.ts'
