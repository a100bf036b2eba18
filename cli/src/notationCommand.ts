import { indexLibrary } from '@esfuerzo/core'
import { print } from '@esfuerzo/core/notation'
import { libraryData } from '@esfuerzo/library'
import { isJson, readSession } from './readSession.ts'

/**
 * A session turned into the other of its two spellings: JSON into whiteboard text, whiteboard text into JSON.
 *
 * @throws {ProblemError} with every mistake in the file
 */
export function notationCommand(text: string): string {
  const library = indexLibrary(libraryData)
  const workout = readSession(text, library)
  return isJson(text) ? print(workout, library).trimEnd() : JSON.stringify(workout, null, 2)
}
