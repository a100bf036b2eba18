import { ProblemError, readSessionText, referenceProblems, type Session } from '@esfuerzo/core'
import { saveFile } from '../shared/saveFile.ts'
import { fileTitle } from '@esfuerzo/core/cues'
import { library } from '../repertoire/library.ts'

/**
 * Reads a session from the text of a file, a drop or the clipboard.
 *
 * @throws {ProblemError} with every mistake; a session is never read in part
 */
export function sessionFromText(text: string): Session {
  const session = readSessionText(text)
  const problems = referenceProblems(session, library)
  if (problems.length) throw new ProblemError(problems)
  return session
}

/**
 * A file name for a session: its title in plain letters.
 *
 * @example sessionFileName('Storm-day springs!') // 'storm-day-springs.json'
 */
export const sessionFileName = (title: string): string => `${fileTitle(title)}.json`

/** Downloads a session as a file. */
export const saveSessionFile = (session: Session): void => saveFile(sessionFileName(session.title), session)
