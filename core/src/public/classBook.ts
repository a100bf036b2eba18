// The class book: pupils by alias, their codes, their results. Named exports only: anything not listed is internal.
export {
  aliasKey,
  aliasKinds,
  aliasSchema,
  byAlias,
  looksLikeName,
  proposedAliases,
  pupilRoom,
} from '../classBook/alias.ts'
export { codeAlphabet, codeCount, codeLengths, codeOf, readCode } from '../classBook/code.ts'
export { bookColumns, placeKey, type BookColumn } from '../classBook/column.ts'
export { bookCells, byPupil, ownLine, type BookCell, type BookEntry } from '../classBook/grid.ts'
export { matchTable, readCells, type LineProblem, type TableMatch } from '../classBook/matchTable.ts'
export { isForClass, laneOfClass, lanesOfClass } from '../terms/laneOfClass.ts'
export {
  daySchema,
  goesSoon,
  keepMonthsSchema,
  keptUntil,
  lastYearToGo,
  monthsLater,
  usualYearEnd,
} from '../classBook/retention.ts'
export {
  boundsOf,
  impossible,
  per30,
  readValue,
  unlikely,
  type Unlikely,
  type ValueProblem,
} from '../classBook/value.ts'
