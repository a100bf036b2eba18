// Whiteboard text: read and printed. Named exports only; what is in no list is nobody else's business.
export { takeDose } from '../notation/dose.ts'
export { printCell, readCell, readNamedCell } from '../notation/cell.ts'
export { notationOf, printBlockFor, readBlockFor } from '../notation/formNotations.ts'
export { type Fact } from '../notation/facts.ts'
export { apply } from '../notation/apply.ts'
export { parse } from '../notation/parse.ts'
export { print } from '../notation/print.ts'
export { type TextProblem } from '../notation/textProblem.ts'
