import { indexLibrary, ProblemError, isChance } from '@esfuerzo/core'
import {
  chanceOutlook,
  finishOf,
  quantile,
  simulate,
  spreadOf,
  type Finish,
  type LineOutlook,
  type Spread,
} from '@esfuerzo/core/tools'
import { libraryData } from '@esfuerzo/library'
import { readTimedSession, type Asked } from './readSession.ts'

export interface SpreadAnswer {
  groups: {
    id: string
    name: string
    finish: Finish
    /** Blocks of chance. */
    chance: { block: string; seconds: Spread; median: number; draws: Spread; lines: LineOutlook[] }[]
  }[]
}

/**
 * Prints when children finish a session, and the outcomes of its blocks of chance.
 *
 * @param text a session file, as JSON or as any text
 * @param asked called with each question the text leaves open
 * @param children how many are simulated, 1 to 100 000
 * @throws {ProblemError} with every mistake in the file, or `invalid`
 */
export function spreadCommand(text: string, asked: Asked, children = '10000'): SpreadAnswer {
  const count = Number(children)
  if (!Number.isInteger(count) || count < 1 || count > 100_000)
    throw new ProblemError([
      { code: 'invalid', path: ['--children'], received: children, expected: { rule: 'children' } },
    ])
  const { session, library } = readTimedSession(text, indexLibrary(libraryData), asked)
  return {
    groups: session.groups.map((group) => {
      return {
        id: group.id,
        name: group.name,
        finish: finishOf(simulate(session, group, library, { children: count }), session.minutes * 60),
        chance: session.sections
          .flatMap((s) => s.blocks)
          .flatMap((block) => {
            if (!isChance(block)) return []
            const { seconds, draws, lines } = chanceOutlook(block, group, session, library)
            const median = quantile(seconds, 0.5)
            return [{ block: block.id, seconds: spreadOf(seconds), median, draws: spreadOf(draws), lines }]
          }),
      }
    }),
  }
}
