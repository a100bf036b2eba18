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

/** Whether a file is a session as JSON: it starts with a brace. Everything else is a text. */
export const isJson = (text: string): boolean => text.trimStart().startsWith('{')

/** Called with each question a text leaves open. */
export type Asked = (question: Question) => void

/**
 * Reads a session file, as JSON or as any text a teacher writes.
 *
 * @throws {ProblemError} with every mistake of JSON, by path; for a text only if it has more than a session can hold
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
 * A session to be timed, and a library that includes its own exercises.
 *
 * @throws {ProblemError} also if a lane has too many steps
 */
export function readTimedSession(text: string, ours: Library, asked: Asked): { session: Session; library: Library } {
  const session = readSession(text, ours, asked)
  const library = libraryFor(session, ours)
  const problems = sessionProblems(session, library)
  if (problems.length) throw new ProblemError(problems)
  return { session, library }
}
