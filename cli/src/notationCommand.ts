import { indexLibrary, libraryFor, ProblemError } from '@esfuerzo/core'
import { print } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { isJson, readSession, type Asked } from './readSession.ts'

/**
 * Converts a session between JSON and text; by default JSON becomes text and everything else becomes JSON.
 *
 * @param to `json` or `text`
 * @throws {ProblemError} with every mistake in the file, or if `to` is neither
 */
export function notationCommand(text: string, asked: Asked, to = isJson(text) ? 'text' : 'json'): string {
  if (to !== 'json' && to !== 'text')
    throw new ProblemError([
      { code: 'not-a-choice', path: ['--to'], received: to, expected: { oneOf: ['json', 'text'] } },
    ])
  const library = indexLibrary(libraryData)
  const session = readSession(text, library, asked)
  return to === 'text' ? print(session, libraryFor(session, library)).trimEnd() : JSON.stringify(session, null, 2)
}
