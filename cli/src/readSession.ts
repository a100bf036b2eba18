import {
  libraryFor,
  ProblemError,
  readWorkoutText,
  referenceProblems,
  sessionProblems,
  type Library,
  type Workout,
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
export function readSession(text: string, library: Library, asked: Asked): Workout {
  if (!isJson(text)) {
    const { workout, problems, questions } = readText(text, library)
    if (problems.length) throw new ProblemError(problems)
    questions.forEach(asked)
    return workout
  }
  const workout = readWorkoutText(text)
  const problems = referenceProblems(workout, library)
  if (problems.length) throw new ProblemError(problems)
  return workout
}

/**
 * A session that is to be timed, and the library that knows its own moves.
 *
 * @throws {ProblemError} also where a lane has more steps than it may have
 */
export function readTimedSession(text: string, ours: Library, asked: Asked): { workout: Workout; library: Library } {
  const workout = readSession(text, ours, asked)
  const library = libraryFor(workout, ours)
  const problems = sessionProblems(workout, library)
  if (problems.length) throw new ProblemError(problems)
  return { workout, library }
}
