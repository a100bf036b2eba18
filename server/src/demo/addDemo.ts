import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { newSettings, type Library } from '@esfuerzo/core'
import { hashPassword } from '../accounts/password.ts'
import { addTeacher, anyTeacher } from '../accounts/store.ts'
import { publicationOf } from '../publications/publicationOf.ts'
import { snapshotOf } from '../publications/snapshot.ts'
import { addPublication } from '../publications/store.ts'
import { addRun } from '../runs/store.ts'
import { saveSettings } from '../settings/store.ts'
import { workouts } from '../workouts/store.ts'
import { demoRuns } from './runs.ts'
import { demoSessions, demoWorkout } from './sessions.ts'

/** The demo's teacher. The password is no secret: it is printed at the start. */
export const demoSignIn = { email: 'marisol@island.example', password: 'ferry-on-monday' }

const hour = 60 * 60 * 1000
const day = 24 * hour
const week = 7 * day

/** Somebody who has the demo's sessions. */
export interface DemoTeacher {
  email: string
  password: string
}

/** A session of the demo as it lies in the database of each who has it. */
function prepared(library: Library, now: Date) {
  return demoSessions.map((session, seed) => {
    const document = demoWorkout(session, library)
    // Sent out on a weekday morning some weeks ago, the drafts worked on yesterday.
    const back = session.draft
      ? (seed - demoSessions.length - 1) * -hour
      : session.weeksAgo * week + (2 - (session.day ?? 0)) * day
    const at = new Date(now.getTime() - back)
    if (session.draft) return { document, at }
    const snapshot = snapshotOf(document, library)
    return { document, at, snapshot, runs: demoRuns(document, library, snapshot.sha256, at, now, seed + 1) }
  })
}

/**
 * Gives teachers the island school: fourteen sessions of different forms sent out over six weeks with what came back, and five
 * in draft. Dates are relative to today.
 */
export async function addDemoTeachers(
  db: Knex,
  library: Library,
  secret: string,
  now: Date,
  teachers: readonly DemoTeacher[],
): Promise<void> {
  const sessions = prepared(library, now)
  for (const { email, password } of teachers) {
    const passwordHash = await hashPassword(password)
    await db.transaction(async (trx) => {
      const teacherId = randomUUID()
      await addTeacher(trx, { id: teacherId, email, name: 'Marisol' }, 'Atlantic/Azores', passwordHash)
      await saveSettings(trx, teacherId, { ...newSettings('Atlantic/Azores'), school: 'The island school' })
      for (const { document, at, snapshot, runs = [] } of sessions) {
        const workoutId = randomUUID()
        await workouts.add(trx, teacherId, workoutId, document, at)
        if (!snapshot) continue
        const publication = publicationOf({ teacherId, workoutId, document }, snapshot, secret, at, 90)
        await addPublication(trx, publication)
        await workouts.states.close(trx, teacherId, workoutId, { reason: 'published' })
        for (const run of runs) await addRun(trx, publication.id, run, snapshot.outline, new Date(run.finishedAt))
      }
    })
  }
}

/** Fills an empty database with the demo; one that has a teacher is left alone. */
export async function addDemo(db: Knex, library: Library, secret: string, now: Date): Promise<void> {
  if (!(await anyTeacher(db))) await addDemoTeachers(db, library, secret, now, [demoSignIn])
}
