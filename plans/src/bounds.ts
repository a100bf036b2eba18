import { ProblemError, type Expected, type Problem, type ProblemCode, type Received } from '@esfuerzo/core'

/** Limits of a plan that a teacher could have written; ours. */
export const planBounds = {
  /** For a file, and for everything packed in it, counted while unpacking; in bytes. */
  bytes: 10 * 1024 * 1024,
  unpacked: 50 * 1024 * 1024,
  /** For one part of a packed file that is read: a document's own text. */
  part: 6 * 1024 * 1024,
  /** For a document's text without formatting. */
  docx: 1024 * 1024,
  /** Files packed in one. */
  entries: 2000,
  pages: 50,
  /** Pieces of text on all pages of a PDF. */
  pieces: 12_000,
  /** Rows of a sheet. */
  rows: 2000,
  columns: 60,
  /** Lines of the resulting text. */
  lines: 500,
  /** The timeout, in milliseconds. */
  wait: 10_000,
} as const

/** A file was not read, and why. @param name the file's, which a teacher recognizes */
export function refused(
  code: Extract<ProblemCode, `file-${string}`>,
  name: string,
  more: { expected?: Expected; received?: Received; cause?: unknown } = {},
): ProblemError {
  const { cause, ...facts } = more
  const problem: Problem = { code, path: name ? [name] : [], ...facts }
  return new ProblemError([problem], cause)
}
