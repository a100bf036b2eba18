import type { Problem } from '../base/problem.ts'

/** Something in a text that could not be read, and its place. Everything else was read. */
export interface TextProblem extends Problem {
  /** From 1. */
  line: number
  /** From 1, in UTF-16 units. */
  column: number
  /** How many characters of the line it covers. */
  length: number
}

/** A problem at a place in a text. @param at line and column from 1, length in UTF-16 units */
export const textProblem = (
  code: Problem['code'],
  at: { line: number; column: number; length: number },
  more: Pick<Problem, 'received' | 'expected'>,
): TextProblem => ({ code, path: [], ...more, ...at })
