import type { Problem } from '../base/problem.ts'

/** What problems are called in one language. */
export interface ProblemWords {
  /** What is wrong and what would be right, without where. */
  sentence: (problem: Problem) => string
  /** A place in a text. */
  line: (line: number, column: number) => string
  /** The place of what is wrong with a document as one. */
  whole: string
}
