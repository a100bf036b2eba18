// Finding moves, and putting one in. Named exports only; what is in no list is nobody else's business.
export { proposeQuiz } from '../quiz/proposeQuiz.ts'
export { searchMoves } from '../choose/searchMoves.ts'
export { filterMoves, musclesOf, type MoveFilter } from '../choose/filterMoves.ts'
export { putCells, putMove } from '../choose/putMove.ts'
export { likeMoves, type LikeMove } from '../choose/likeMoves.ts'
