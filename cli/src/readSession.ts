import {
  libraryFor,
  ProblemError,
  readSessionText,
  referenceProblems,
  sessionProblems,
  type Library,
  type Session,
} from '@esfuerzo/core'
import { readText, type Question } from '@esfuerzo/core/notation'

/** Whether a file is a session as JSON: it begins with a brace. All else is a text. */
export const isJson = (text: string): boolean => text.trimStart().startsWith('{')

/** Told of what a text leaves open. */
export type Asked = (question: Question) => void

/**
 * Reads a session file, as JSON or as any text a teacher writes.
 *
 * @throws {ProblemError} with every mistake of JSON, by path; of a text only where it has more than a session can
 */
export function readSession(text: string, library: Library, asked: Asked): Session {
  if (!isJson(text)) {
    const { workout: session, problems, questions } = readText(text, library)
    if (problems.length) throw new ProblemError(problems)
    questions.forEach(asked)
    return session
  }
  const session = readSessionText(text)
  const problems = referenceProblems(session, library)
  if (problems.length) throw new ProblemError(problems)
  return session
}

/**
 * A session that is to be timed, and the library that knows its own moves.
 *
 * @throws {ProblemError} also where a lane has more steps than it may have
 */
export function readTimedSession(text: string, ours: Library, asked: Asked): { session: Session; library: Library } {
  const session = readSession(text, ours, asked)
  const library = libraryFor(session, ours)
  const problems = sessionProblems(session, library)
  if (problems.length) throw new ProblemError(problems)
  return { session, library }
}
