// Whiteboard text: reading and printing. Named exports only: anything not listed is internal.
export { takeDose } from '../notation/dose.ts'
export { printCell, readCell, readNamedCell } from '../notation/cell.ts'
export { notationOf, printBlockFor, readBlockFor } from '../notation/formNotations.ts'
export { type Fact } from '../notation/facts.ts'
export { apply, applyText, type AppliedText } from '../notation/apply.ts'
export { parse } from '../notation/parse.ts'
export { print } from '../notation/print.ts'

export { readText, type ReadText } from '../notation/readText.ts'
export { type Readings } from '../notation/free/understandName.ts'
export { plainName } from '../notation/names.ts'
export {
  choiceKey,
  isAboutWord,
  readingOf,
  type Answer,
  type Choices,
  type Question,
} from '../notation/free/questions.ts'
export { isProvisional } from '../notation/free/ownMove.ts'
