// Finding exercises and putting them in. Named exports only: anything not listed is internal.
export { proposeQuiz } from '../quiz/proposeQuiz.ts'
export { searchMoves } from '../choose/searchMoves.ts'
export { filterMoves, musclesOf, type MoveFilter } from '../choose/filterMoves.ts'
export { putCells, putMove } from '../choose/putMove.ts'
export { applySteps, stepGroups, type GroupStep } from '../choose/stepGroups.ts'
export { likeMoves, type LikeMove } from '../choose/likeMoves.ts'
