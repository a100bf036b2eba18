// The document, its edits, the library, timing and words. Named exports only: anything not listed is internal.
export {
  problemCodes,
  ProblemError,
  rule,
  type Expected,
  type Problem,
  type ProblemCode,
  type Received,
} from './base/problem.ts'
export { zodProblems } from './base/zodProblems.ts'
export { sameValue } from './base/sameValue.ts'
export { idSchema } from './base/id.ts'
export { limits } from './base/limits.ts'
export { foldText } from './base/fold.ts'
export { cleanText, lineSchema, paragraphSchema } from './base/text.ts'
export { hasOwn, mapGroups, valueFor, type PerGroup, type Scope } from './terms/perGroup.ts'
export { units } from './terms/units.ts'
export { stepAmount, type Amount, type Dose, type Unit } from './terms/dose.ts'
export { defaultGradeNames, gradeSchema, gradesName, paceSchema, type Group, type LaneLetter } from './terms/group.ts'
export { type Cell, type Face, type LapChange, type Station, type Tempo } from './session/station.ts'
export { type Lap } from './forms/intervals/schema.ts'
export { rungsFor } from './forms/ladder/schema.ts'
export { chanceTable, deviceFaces, isChance } from './forms/chance/schema.ts'
export { type Question } from './forms/quiz/schema.ts'
export { forms, hasStations, stationsOf, type Block, type BlockOf, type Form } from './session/forms.ts'
export { traitsOf } from './session/formTraits.ts'
export {
  isKept,
  roles,
  sessionSchema,
  type Aim,
  type Home,
  type Role,
  type Section,
  type Session,
} from './session/schema.ts'
export { buildsSchema, type Builds } from './terms/builds.ts'
export { countries, englishOf, type Country } from './terms/country.ts'
export { spaceSchema, type Space } from './terms/space.ts'
export { newSession } from './session/newSession.ts'
export { readDocument, writtenDocument, type DocumentKind } from './documents/document.ts'
export { writtenText } from './documents/documentText.ts'
export { readCarried, writtenCarried } from './documents/carried.ts'
export { allDocumentKinds, documentKinds } from './documentKinds.ts'
export { readSession, readSessionText, sessionDocument } from './session/readSession.ts'
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
export { pasteParts } from './session/edits/pastePart.ts'
export { moveBlockTo, moveSectionTo, moveStationsTo } from './session/edits/moveTo.ts'
export { joinSessions } from './session/edits/joinSessions.ts'
export { partDocument, partOf, partSchema, readPart, type Part } from './session/part.ts'
export { differences, type Difference } from './session/differences.ts'
export {
  holdPolicies,
  newSettings,
  settingsDocument,
  settingsSchema,
  warmUpStyles,
  type Policy,
  type Settings,
} from './terms/settings.ts'
export {
  settingsChange,
  settingsChangeSchema,
  withSettingsChange,
  type SettingsChange,
} from './terms/settingsChange.ts'
export { rulePolicySchema, type RulePolicies, type RulePolicy } from './terms/checkLevel.ts'
export { families, postureSchema, sidesSchema, type Family, type Move, type Version } from './terms/move.ts'
export { capFor, dayValue, setUpOf } from './terms/testValue.ts'
export { testIds, type Measure, type TestId } from './terms/measure.ts'
export { indexLibrary, type Library, type LibraryData } from './library/library.ts'
export { measureSeconds } from './timing/measureSeconds.ts'
export { performedBy } from './library/versionFor.ts'
export { firstDose } from './library/cellsFor.ts'
export { referenceProblems } from './library/referenceProblems.ts'
export { carryMoves, libraryFor } from './library/carryMoves.ts'
export {
  copyOfMove,
  isOwnId,
  mostOwnMoves,
  movesDocument,
  movesFile,
  movesFileSchema,
  ownMoveSchema,
  type OwnMove,
  type MovesFile,
} from './terms/ownMove.ts'
export { readMoves, withOwnMoves } from './library/ownMoves.ts'
export { obstacles } from './home/obstacles.ts'
export { fetchList } from './home/fetchList.ts'
export { bookKg, papers, sheets, type Book } from './load/paper.ts'
export { fromKg, toKg, toLitres, volumeUnits, weightUnits, type VolumeUnit, type WeightUnit } from './load/units.ts'
export { gradesFor, homeKg, nextStep, type Held, type HomeThing } from './load/homeWeight.ts'
export { type Span } from './timing/span.ts'
export { explainingSeconds } from './timing/explaining.ts'
export { sessionProblems, timeline } from './timing/timeline.ts'
export { sessionView, stepAt, type LaneView } from './timing/sessionView.ts'
export { totals } from './timing/totals.ts'
export { type Say, type Step } from './timing/step.ts'
export { minutesText, parseSeconds } from './timing/minutesText.ts'
export { longestMinutes, saidMinutes } from './timing/saidMinutes.ts'
export { moveNames, sayName, type Names } from './words/names.ts'
export { doseWords, sayText } from './words/say.ts'
export { careText } from './words/care.ts'
export { cautionsShown, gatheredCautions, type Caution } from './publication/cautions.ts'
export { partTitle } from './words/parts.ts'
export { languageOf, languages, phrasesIn, type Language, type Phrases } from './terms/language.ts'
export { problemsInEnglish } from './words/en/problems.ts'
export { problemSentence, problemText } from './words/problems.ts'
export { type ProblemWords } from './words/problemWords.ts'
export { zoneSchema } from './terms/zone.ts'
