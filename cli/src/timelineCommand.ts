import { indexLibrary, ProblemError, timeline, totals, type Span, type Step } from '@esfuerzo/core'
import { libraryData } from '@esfuerzo/library'
import { readTimedSession, type Asked } from './readSession.ts'

export interface TimelineAnswer {
  groups: {
    id: string
    name: string
    seconds: Span
    work: number
    rest: number
    change: number
    talk: number
    steps: Step[]
  }[]
}

/**
 * Prints every group's time, or one group's.
 *
 * @param text a session file, as JSON or as any text
 * @param asked called with each question the text leaves open
 * @param groupId one group only; all groups by default
 * @throws {ProblemError} with every mistake in the file, or `unknown-group`
 */
export function timelineCommand(text: string, asked: Asked, groupId?: string): TimelineAnswer {
  const { session, library } = readTimedSession(text, indexLibrary(libraryData), asked)
  const groups = session.groups.filter((g) => groupId === undefined || g.id === groupId)
  if (groups.length === 0) {
    const expected = { oneOf: session.groups.map((g) => g.id) }
    throw new ProblemError([{ code: 'unknown-group', path: ['--group'], received: groupId, expected }])
  }
  return {
    groups: groups.map((group) => {
      const steps = timeline(session, group.id, library)
      const { seconds, work, rest, change, talk } = totals(steps, group, library).session
      return { id: group.id, name: group.name, seconds, work, rest, change, talk, steps }
    }),
  }
}
