import {
  ProblemError,
  readWorkoutText,
  referenceProblems,
  sessionProblems,
  type Library,
  type Workout,
} from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'

/** Whether a file is a session as JSON: it begins with a brace. All else is whiteboard text. */
export const isJson = (text: string): boolean => text.trimStart().startsWith('{')

/**
 * Reads a session file, as JSON or as whiteboard text.
 *
 * @throws {ProblemError} with every mistake, by path or by line and column
 */
export function readSession(text: string, library: Library): Workout {
  if (!isJson(text)) {
    const { workout, problems } = parse(text, library)
    if (problems.length) throw new ProblemError(problems)
    return workout
  }
  const workout = readWorkoutText(text)
  const problems = referenceProblems(workout, library)
  if (problems.length) throw new ProblemError(problems)
  return workout
}

/**
 * A session that is to be timed.
 *
 * @throws {ProblemError} also where a lane has more steps than it may have
 */
export function readTimedSession(text: string, library: Library): Workout {
  const workout = readSession(text, library)
  const problems = sessionProblems(workout, library)
  if (problems.length) throw new ProblemError(problems)
  return workout
}
