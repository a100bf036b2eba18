import { ProblemError, type Expected, type Problem, type ProblemCode, type Received } from '@esfuerzo/core'

/** Bounds of a plan that a teacher could have written; ours. */
export const planBounds = {
  /** Of a file, and of all that is packed in it, counted while it is unpacked; in bytes. */
  bytes: 10 * 1024 * 1024,
  unpacked: 50 * 1024 * 1024,
  /** Of one part of a packed file that is read: a document's own text. */
  part: 6 * 1024 * 1024,
  /** Of a word processor's text without how it looks. */
  docx: 1024 * 1024,
  /** Files packed in one. */
  entries: 2000,
  pages: 50,
  /** Pieces of text on all pages of a PDF. */
  pieces: 12_000,
  /** Rows of a sheet. */
  rows: 2000,
  columns: 60,
  /** Lines of text that came of it. */
  lines: 500,
  /** Until whoever waits gives up, in milliseconds. */
  wait: 10_000,
} as const

/** That a file was not read, and why. @param name the file's, which a teacher knows it by */
export function refused(
  code: Extract<ProblemCode, `file-${string}`>,
  name: string,
  more: { expected?: Expected; received?: Received; cause?: unknown } = {},
): ProblemError {
  const { cause, ...facts } = more
  const problem: Problem = { code, path: name ? [name] : [], ...facts }
  return new ProblemError([problem], cause)
}
