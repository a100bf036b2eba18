import { ProblemError, problemText, type Expected, type Problem } from '@esfuerzo/core'
import { errorsInEnglish, errorStatus, type ErrorCode, type ProblemDocument } from '@esfuerzo/contract'
import { isDatabaseAway, isStorageFull } from '../base/database.ts'

/** An error the server reports, by code. Handlers throw it; it is worded here, in one place. */
export class ServerError extends Error {
  readonly code: ErrorCode
  readonly problems: Problem[]

  constructor(code: ErrorCode, problems: Problem[] = [], cause?: unknown) {
    super(code, { cause })
    this.name = 'ServerError'
    this.code = code
    this.problems = problems
  }
}

/** A limit is reached. @param expected the limit */
export const tooMany = (field: string, expected: Expected): ServerError =>
  new ServerError('invalid', [{ code: 'too-many', path: [field], expected, received: { is: 'more' } }])

/** Any error as one of ours; an unforeseen one is `unexpected`, with its cause for the log. */
export function toServerError(error: unknown): ServerError {
  if (error instanceof ServerError) return error
  if (error instanceof ProblemError) return new ServerError(codeOf(error.problems), error.problems, error)
  if (isStorageFull(error)) return new ServerError('storage-full', [], error)
  if (isDatabaseAway(error)) return new ServerError('database-away', [], error)
  const { type, status } = error as { type?: string; status?: number }
  // body-parser's own errors: https://github.com/expressjs/body-parser#errors
  if (type === 'entity.too.large') return new ServerError('too-big', [], error)
  if (type === 'entity.parse.failed') {
    return new ServerError('invalid', [{ code: 'not-json', path: [], received: (error as Error).message }], error)
  }
  if (status !== undefined && status >= 400 && status < 500) return new ServerError('invalid', [], error)
  return new ServerError('unexpected', [], error)
}

/** The error for problems of a document: a newer document is nobody's mistake. */
export const codeOf = (problems: readonly Problem[]): ErrorCode =>
  problems.some((p) => p.code === 'newer-version') ? 'newer-document' : 'invalid'

/** The RFC 9457 document of an error. @param instance the request's id */
export function problemDocument(error: ServerError, instance: string): ProblemDocument {
  const { title, detail } = errorsInEnglish[error.code]
  return {
    type: `/docs/errors#${error.code}`,
    title,
    status: errorStatus[error.code],
    code: error.code,
    detail: error.problems.length ? error.problems.map((p) => problemText(p)).join('\n') : detail,
    instance,
    ...(error.problems.length && { problems: error.problems }),
  }
}
