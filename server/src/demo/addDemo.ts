import type { Knex } from 'knex'
import { v4 as uuid } from 'uuid'
import { newSettings, type Library } from '@esfuerzo/core'
import { hashPassword } from '../accounts/password.ts'
import { addTeacher, anyTeacher } from '../accounts/store.ts'
import { makePublication } from '../publications/makePublication.ts'
import { addPublication } from '../publications/store.ts'
import { addRun } from '../runs/store.ts'
import { saveSettings } from '../settings/store.ts'
import { addWorkout } from '../workouts/store.ts'
import { demoRuns } from './runs.ts'
import { closeVersion } from '../workouts/versions.ts'
import { demoSessions, demoWorkout } from './sessions.ts'

/** The demo's teacher. The password is no secret: it is printed at the start. */
export const demoSignIn = { email: 'marisol@island.example', password: 'ferry-on-monday' }

const hour = 60 * 60 * 1000
const day = 24 * hour
const week = 7 * day

/**
 * Fills an empty database with the island school: a teacher, fourteen sessions of different forms sent out over six
 * weeks with what came back, and five in draft. Dates are relative to today; a database that has a teacher is left alone.
 */
export async function addDemo(db: Knex, library: Library, secret: string, now: Date): Promise<void> {
  if (await anyTeacher(db)) return
  const passwordHash = await hashPassword(demoSignIn.password)
  await db.transaction(async (trx) => {
    const teacherId = uuid()
    await addTeacher(trx, { id: teacherId, email: demoSignIn.email, name: 'Marisol' }, 'Atlantic/Azores', passwordHash)
    await saveSettings(trx, teacherId, { ...newSettings('Atlantic/Azores'), school: 'The island school' })
    for (const [seed, session] of demoSessions.entries()) {
      const document = demoWorkout(session, library)
      // Sent out on a weekday morning some weeks ago, the drafts worked on yesterday.
      const back = session.draft
        ? (seed - demoSessions.length - 1) * -hour
        : session.weeksAgo * week + (2 - (session.day ?? 0)) * day
      const at = new Date(now.getTime() - back)
      const workoutId = uuid()
      await addWorkout(trx, teacherId, workoutId, document, at)
      if (session.draft) continue
      const publication = makePublication({ teacherId, workoutId, document }, library, secret, at, 90)
      await addPublication(trx, publication)
      await closeVersion(trx, teacherId, workoutId, { reason: 'published' })
      for (const run of demoRuns(document, library, publication.sha256, at, now, seed + 1)) {
        await addRun(trx, publication.id, run, new Date(run.finishedAt))
      }
    }
  })
}
