import { indexLibrary, ProblemError } from '@esfuerzo/core'
import { arrange, canArrange, type ArrangeAnswer } from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import { readTimedSession, type Asked } from './readSession.ts'

/**
 * Prints the best order of a block's stations.
 *
 * @param text a session file, as JSON or as any text
 * @param asked called with each question the text leaves open
 * @param block the block's id; without it, the error lists the blocks that can be arranged
 * @throws {ProblemError} with every mistake in the file, or `not-a-choice`
 */
export function arrangeCommand(text: string, asked: Asked, block?: string): ArrangeAnswer {
  const { session, library } = readTimedSession(text, indexLibrary(libraryData), asked)
  const blocks = session.sections.flatMap((s) => s.blocks)
  if (block === undefined || !blocks.some((b) => b.id === block)) {
    const expected = { oneOf: blocks.filter(canArrange).map((b) => b.id) }
    const received = block ?? ({ is: 'nothing' } as const)
    throw new ProblemError([{ code: 'not-a-choice', path: ['--block'], received, expected }])
  }
  return arrange(session, block, library)
}
