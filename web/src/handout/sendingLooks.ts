import { ProblemError, stationsOf, type Library, type Problem, type Workout } from '@esfuerzo/core'
import { checkSession, type Finding } from '@esfuerzo/core/checks'
import { publish } from '@esfuerzo/core/publication'

/** Something a session deserves a look at before it is sent out. */
export type SendingLook = { code: 'check'; finding: Finding } | { code: 'noResult' } | { code: 'noTarget' }

/** What still deserves a look before sending, the gravest first. Nothing here stops anybody. */
export function sendingLooks(workout: Workout, library: Library): SendingLook[] {
  const looks: SendingLook[] = checkSession(workout, library)
    .filter(({ level }) => level !== 'note')
    .map((finding) => ({ code: 'check', finding }))
  const stations = workout.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
  if (!workout.aim.target) looks.push({ code: 'noTarget' })
  if (!stations.some((s) => s.record)) looks.push({ code: 'noResult' })
  return looks
}

/** What keeps a session from being sent out at all: nothing in it, more steps or more bytes than may be sent. */
export function sendingProblems(workout: Workout, library: Library): Problem[] {
  try {
    publish(workout, library)
    return []
  } catch (error) {
    if (error instanceof ProblemError) return error.problems
    throw error
  }
}
