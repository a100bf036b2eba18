import { indexLibrary } from '@esfuerzo/core'
import { fit, type FitAnswer } from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import { readTimedSession, type Asked } from './readSession.ts'

/**
 * The ways to a session's minutes.
 *
 * @param text a session file, as JSON or as any text
 * @param asked told of what a text leaves open
 * @param fill whether a session that is too short is to be filled up
 * @throws {ProblemError} with every mistake in the file
 */
export function fitCommand(text: string, asked: Asked, fill = false): FitAnswer {
  const { session, library } = readTimedSession(text, indexLibrary(libraryData), asked)
  return fit(session, library, { fill })
}
