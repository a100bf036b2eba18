import type { Library } from '../library/library.ts'
import type { Session } from '../session/schema.ts'
import { timeline } from './timeline.ts'

/**
 * Typical seconds of a session by group.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example sessionSeconds(session, library) // { g1: 1096, g2: 1027 }
 */
export const sessionSeconds = (session: Session, library: Library): Record<string, number> =>
  Object.fromEntries(
    session.groups.map((group) => {
      const last = timeline(session, group.id, library).at(-1)
      return [group.id, last ? last.at + last.seconds.typical : 0]
    }),
  )
