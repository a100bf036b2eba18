import type { Problem } from '../base/problem.ts'

/** The sentences of problems in one language. */
export interface ProblemWords {
  /** What is wrong and what would be right, without the place. */
  sentence: (problem: Problem) => string
  /** A place in a text. */
  line: (line: number, column: number) => string
  /** The place name for a problem of the whole document. */
  whole: string
}
