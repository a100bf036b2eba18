import { readFile } from 'node:fs/promises'
import { basename } from 'node:path'
import { ProblemError } from '@esfuerzo/core'
import { readPlan } from '@esfuerzo/plans'
import { isJson } from './readSession.ts'

/**
 * Reads a file as the text of a session: JSON and plain text unchanged, documents and spreadsheets as a teacher would have typed them.
 *
 * @param session which session of a file with several, from 1
 * @param say called with what the file holds that is not in the text
 * @throws {ProblemError} if the file cannot be opened as a plan, or has no such session
 */
export async function readFileText(file: string, session: number, say: (words: string) => void): Promise<string> {
  const bytes = new Uint8Array(await readFile(file))
  const text = new TextDecoder().decode(bytes)
  if (isJson(text)) return text
  const { texts, pictures, repeated, cut } = await readPlan(bytes, basename(file))
  if (pictures.length) say(`left pictures ${pictures.length}`)
  for (const line of repeated) say(`left on every page "${line}"`)
  if (cut) say('left what was too long')
  const wanted = texts[session - 1]
  if (wanted === undefined)
    throw new ProblemError([{ code: 'too-large', path: ['--session'], expected: { atMost: texts.length } }])
  if (texts.length > 1) say(`session ${session} of ${texts.length}: --session says which`)
  return wanted
}
