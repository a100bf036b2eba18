import type { Library } from '../library/library.ts'
import type { Workout } from '../session/schema.ts'
import { timeline } from './timeline.ts'

/**
 * Typical seconds of a session by group.
 *
 * @throws {ProblemError} `unknown-move` or `unknown-version`
 * @example sessionSeconds(session, library) // { g1: 1096, g2: 1027 }
 */
export const sessionSeconds = (workout: Workout, library: Library): Record<string, number> =>
  Object.fromEntries(
    workout.groups.map((group) => {
      const last = timeline(workout, group.id, library).at(-1)
      return [group.id, last ? last.at + last.seconds.typical : 0]
    }),
  )
