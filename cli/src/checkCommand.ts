import { indexLibrary } from '@esfuerzo/core'
import { checkSession, findingText, fixesOf, fixText, fixWords, type Finding, type Fix } from '@esfuerzo/core/checks'
import { libraryData } from '@esfuerzo/library'
import { readTimedSession, type Asked } from './readSession.ts'

export interface CheckAnswer {
  findings: (Finding & { what: string; why: string; fixes: (Fix & { text: string })[] })[]
}

/**
 * Prints a session's checks: fix, advice and tip, each with the edits that resolve it.
 *
 * @param text a session file, as JSON or as any text
 * @param asked called with each question the text leaves open
 * @throws {ProblemError} with every mistake of the file
 */
export function checkCommand(text: string, asked: Asked): CheckAnswer {
  const { session, library } = readTimedSession(text, indexLibrary(libraryData), asked)
  return {
    findings: checkSession(session, library).map((found) => ({
      ...found,
      ...findingText(found, 'en'),
      fixes: fixesOf(session, found, library, fixWords.en).map(({ session: _, ...fix }) => ({
        ...fix,
        text: fixText(fix, 'en'),
      })),
    })),
  }
}
