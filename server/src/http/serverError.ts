import { ProblemError, problemEnglish, type Problem } from '@esfuerzo/core'
import { errorStatus, type ErrorCode, type ProblemDocument } from '@esfuerzo/contract'
import { isDatabaseAway, isStorageFull } from '../database.ts'

/** Something the server refuses or cannot do, by code. Handlers throw it; it is put into words here, once. */
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

/** Title and detail of each code: what happened, what was kept, what to do. */
const words: Record<ErrorCode, [title: string, detail: string]> = {
  invalid: ['That cannot be taken as it is', 'Nothing was changed. Put right what is named and send it again.'],
  'sign-in-needed': ['Sign in first', 'Nothing was changed. Sign in and try again.'],
  'wrong-sign-in': ['That did not fit', 'No account goes with this address and password. Check both and try again.'],
  'foreign-origin': ['That came from another site', 'Nothing was changed. Open Esfuerzo itself and try there.'],
  'not-found': ['Nothing is there', 'It was taken away, or the address has a mistake in it.'],
  conflict: [
    'It was changed elsewhere meanwhile',
    'What is stored was kept, and so is what you have here. Load it again, or keep yours as a copy.',
  ],
  'newer-document': [
    'It is of a newer release',
    'Nothing was changed, and what you have here is kept. Load the page again; if it stays, the server is about to be renewed: try in a while.',
  ],
  ended: ['This session has ended', 'Ask your teacher for a new link. A copy kept on this device still runs.'],
  'too-big': ['That is too large', 'Nothing was changed. A session has room for 512 KiB.'],
  'too-dear': ['It is too much to work out', 'Nothing was changed. Fewer rounds, draws, stations or groups help.'],
  'too-many-tries': ['Too many tries', 'Wait a few minutes, then try again.'],
  guarded: [
    'Many wrong passwords were tried for this account',
    'For a while the right one alone does not open it. If it was right, a message with a link to sign in is on its way.',
  ],
  unexpected: [
    'Something went wrong here',
    'Nothing was changed. Try again; if it stays, tell whoever looks after the server.',
  ],
  'storage-full': [
    'There is no room left on the server',
    'Nothing was changed, and what your page has is kept. Tell whoever looks after the server.',
  ],
  'mail-away': [
    'No message can be sent at the moment',
    'Nothing was changed. Try again later; if it stays, tell whoever looks after the server.',
  ],
  busy: ['The server has its hands full', 'Nothing was changed. Try again in a moment.'],
  'database-away': [
    'The database is away',
    'Nothing was changed. It is usually back in a moment; your page tries again by itself.',
  ],
}

/** There is no room for another of something. @param expected how many there may be, in words */
export const tooMany = (field: string, expected: string): ServerError =>
  new ServerError('invalid', [{ code: 'too-many', path: [field], expected, received: 'one more' }])

/** Any throw as one of ours; what nobody foresaw is `unexpected`, its cause kept for the log. */
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

/** What problems of a document come to: a newer one is nobody's mistake. */
export const codeOf = (problems: readonly Problem[]): ErrorCode =>
  problems.some((p) => p.code === 'newer-version') ? 'newer-document' : 'invalid'

/** The RFC 9457 document of an error. @param instance the request's id */
export function problemDocument(error: ServerError, instance: string): ProblemDocument {
  const [title, detail] = words[error.code]
  return {
    type: `/docs/errors#${error.code}`,
    title,
    status: errorStatus[error.code],
    code: error.code,
    detail: error.problems.length ? error.problems.map(problemEnglish).join('\n') : detail,
    instance,
    ...(error.problems.length && { problems: error.problems }),
  }
}
