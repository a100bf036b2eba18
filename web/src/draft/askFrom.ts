import { newWorkout, type Builds, type Group, type Home, type Workout } from '@esfuerzo/core'
import type { WorkoutSummary } from '@esfuerzo/contract'
import { client } from '../shared/client.ts'
import { library } from '../repertoire/library.ts'

/** What is known before anything is asked: from the session it is for, else from what was sent home last. */
export interface KnownBefore {
  aim: Builds
  minutes: number
  groups: Group[]
  home: Home
  /** The last two sessions that were sent home, the latest last. */
  recent: Workout[]
}

const classes = [
  [0, 1],
  [2, 3],
  [4, 5, 6],
]

/** The last two sessions that were sent, as they were sent, the latest last. */
async function lastTwo(workouts: readonly WorkoutSummary[]): Promise<Workout[]> {
  const sent = workouts
    .filter((w) => w.sentAt)
    .sort((a, b) => (a.sentAt! < b.sentAt! ? 1 : -1))
    .slice(0, 2)
  const documents = await Promise.all(
    sent.map(({ id }) => client('lastSent', { params: { id } }).catch(() => ({ document: null }))),
  )
  return documents.flatMap(({ document }) => (document ? [document] : [])).reverse()
}

/**
 * What is known of the conditions.
 *
 * @param into the empty session the draft is for
 * @param gradeNames what the school calls its grades
 */
export async function knownBefore(
  into: Workout | undefined,
  gradeNames: readonly string[] | undefined,
): Promise<KnownBefore> {
  const { workouts } = await client('listWorkouts', {})
  const recent = await lastTwo(workouts)
  const last = into ?? recent.at(-1)
  const base = newWorkout('Draft', classes, 20, library.version, gradeNames)
  return {
    aim: last?.aim.builds[0] ?? 'strength',
    minutes: Math.min(60, Math.max(5, last?.minutes ?? base.minutes)),
    groups: last?.groups ?? base.groups,
    home: last?.home ?? base.home,
    recent,
  }
}
