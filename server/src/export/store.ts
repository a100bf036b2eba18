import type { Knex } from 'knex'
import { readDocument } from '@esfuerzo/core'
import { runDocument, type Run } from '@esfuerzo/core/run'

const iso = (date: Date) => date.toISOString()

/** All of a teacher's sessions, those in the bin too. */
export async function allWorkouts(
  db: Knex,
  teacherId: string,
): Promise<{ id: string; title: string; document: unknown }[]> {
  return db('workouts').where({ teacher_id: teacherId }).select('id', 'title', 'document').orderBy('created_at')
}

/** All of a teacher's terms, those in the bin too. */
export async function allTerms(
  db: Knex,
  teacherId: string,
): Promise<{ id: string; title: string; document: unknown }[]> {
  return db('terms').where({ teacher_id: teacherId }).select('id', 'title', 'document').orderBy('starts')
}

/** Every kept state of a teacher’s sessions, for her own export. */
export async function allVersions(
  db: Knex,
  teacherId: string,
): Promise<{ id: string; workoutId: string; name: string | null; savedAt: string; document: unknown }[]> {
  const rows: { id: string; workout_id: string; name: string | null; saved_at: Date; document: unknown }[] = await db(
    'workout_versions as v',
  )
    .join('workouts as w', 'w.id', 'v.workout_id')
    .where({ 'w.teacher_id': teacherId })
    .select('v.id', 'v.workout_id', 'v.name', 'v.saved_at', 'v.document')
    .orderBy('v.saved_at')
  return rows.map((r) => ({
    id: r.id,
    workoutId: r.workout_id,
    name: r.name,
    savedAt: iso(r.saved_at),
    document: r.document,
  }))
}

/** Every link a teacher sent home, for her own export. */
export async function allPublications(
  db: Knex,
  teacherId: string,
): Promise<{ session: string; sha256: string; madeAt: string; endsAt: string; endedAt: string | null }[]> {
  const rows: { title: string; sha256: string; created_at: Date; ends_at: Date; ended_at: Date | null }[] = await db(
    'publications',
  )
    .where({ teacher_id: teacherId })
    .select('title', 'sha256', 'created_at', 'ends_at', 'ended_at')
    .orderBy('created_at')
  return rows.map((r) => ({
    session: r.title,
    sha256: r.sha256,
    madeAt: iso(r.created_at),
    endsAt: iso(r.ends_at),
    endedAt: r.ended_at && iso(r.ended_at),
  }))
}

/** Every run that came back to a teacher, for her own export. */
export async function allRuns(db: Knex, teacherId: string): Promise<{ title: string; receivedAt: string; run: Run }[]> {
  const rows: { title: string; received_at: Date; document: unknown }[] = await db('runs as r')
    .join('publications as p', 'p.id', 'r.publication_id')
    .where({ 'p.teacher_id': teacherId })
    .select('p.title', 'r.received_at', 'r.document')
    .orderBy('r.received_at')
  return rows.map((r) => ({
    title: r.title,
    receivedAt: iso(r.received_at),
    run: readDocument(runDocument, r.document),
  }))
}
