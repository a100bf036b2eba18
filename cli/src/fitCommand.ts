import { indexLibrary } from '@esfuerzo/core'
import { fit, type FitAnswer } from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import { readTimedSession, type Asked } from './readSession.ts'

/**
 * Prints the ways to fit a session into its minutes.
 *
 * @param text a session file, as JSON or as any text
 * @param asked called with each question the text leaves open
 * @param fill whether to fill up a session that is too short
 * @throws {ProblemError} with every mistake in the file
 */
export function fitCommand(text: string, asked: Asked, fill = false): FitAnswer {
  const { session, library } = readTimedSession(text, indexLibrary(libraryData), asked)
  return fit(session, library, { fill })
}
