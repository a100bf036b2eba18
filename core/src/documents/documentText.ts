import { ProblemError, type Problem } from '../base/problem.ts'
import { limits } from '../base/limits.ts'
import { readDocument, writtenDocument, type DocumentKind } from './document.ts'
import { utf8Length } from '../base/utf8Length.ts'

/**
 * Reads a document from the text of a file.
 *
 * @throws {ProblemError} `too-big` above 512 KiB, `not-json` with the parser's own message, and everything {@link readDocument} throws
 */
export function readDocumentText<T>(kind: DocumentKind<T>, text: string): T {
  // A UTF-16 unit is at most three bytes in UTF-8, so shorter texts need no counting.
  if (text.length * 3 > limits.bytes && utf8Length(text) > limits.bytes) {
    throw new ProblemError([{ code: 'too-big', path: [], expected: { atMost: limits.bytes / 1024, of: 'KiB' } }])
  }
  let data: unknown
  try {
    data = JSON.parse(text)
  } catch (error) {
    const problem: Problem = { code: 'not-json', path: [], received: (error as Error).message }
    throw new ProblemError([problem], error)
  }
  return readDocument(kind, data)
}

/** A document as stored text, in the version that {@link writtenDocument} chooses. */
export const writtenText = <T>(kind: DocumentKind<T>, document: T): string =>
  JSON.stringify(writtenDocument(kind, document))
