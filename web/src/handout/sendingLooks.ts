import {
  minutesText,
  obstacles,
  ProblemError,
  sessionView,
  stationsOf,
  valueFor,
  type Library,
  type Problem,
  type Workout,
} from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'

/** Something a session deserves a look at before it is sent out. */
export type SendingLook =
  | { code: 'late'; group: string; by: string }
  | { code: 'home'; move: string; groups: string[] }
  | { code: 'noResult' }
  | { code: 'noTarget' }

/** What still deserves a look before sending, the gravest first. Nothing here stops anybody. */
export function sendingLooks(workout: Workout, library: Library): SendingLook[] {
  const looks: SendingLook[] = []
  for (const { group, totals } of sessionView(workout, library)) {
    const late = totals.session.seconds.typical - workout.minutes * 60
    if (late > 0) looks.push({ code: 'late', group: group.letter, by: minutesText(late) })
  }
  const atHome = new Map<string, string[]>()
  const stations = workout.sections.flatMap((s) => s.blocks).flatMap((b) => stationsOf(b))
  for (const { cells } of stations) {
    for (const group of workout.groups) {
      const cell = valueFor(cells, group.id)
      const move = library.moves.get(cell.move)
      const version = move?.versions.find((v) => v.id === cell.version)
      if (!move || !version || obstacles(move, version, workout.home, library).length === 0) continue
      atHome.set(version.name, [...new Set([...(atHome.get(version.name) ?? []), group.letter])])
    }
  }
  for (const [move, groups] of atHome) looks.push({ code: 'home', move, groups })
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
