import type { Knex } from 'knex'
import { mostEvents, type EventKind, type LoggedEvent } from '@esfuerzo/contract'
import { ownedBy } from '../rights/rights.ts'

/** How many days the log goes back. */
export const eventDays = 180

/** Writes down that something was done with an account. @param sessionId the session it was done with */
export async function noteEvent(db: Knex, teacherId: string, kind: EventKind, sessionId?: string): Promise<void> {
  await db('events').insert({ teacher_id: teacherId, kind, workout_id: sessionId ?? null })
}

/** The same for what anybody can cause: once an hour, so that nobody fills the log. */
export async function noteOnceAnHour(db: Knex, teacherId: string, kind: EventKind): Promise<void> {
  await db.raw(
    `insert into events (teacher_id, kind)
     select ?, ? where not exists
       (select 1 from events where teacher_id = ? and kind = ? and at > now() - interval '1 hour')`,
    [teacherId, kind, teacherId, kind],
  )
}

interface EventRow {
  at: Date
  kind: EventKind
  title: string | null
}

/** A teacher's account activity, the latest first; of a deleted session only that there was one. */
export async function listEvents(db: Knex, teacherId: string, limit: number = mostEvents): Promise<LoggedEvent[]> {
  const rows = await db('events as e')
    .leftJoin('workouts as w', 'w.id', 'e.workout_id')
    .modify(ownedBy(teacherId, 'events', 'e'))
    .select<EventRow[]>('e.at', 'e.kind', 'w.title')
    .orderBy('e.id', 'desc')
    .limit(limit)
  return rows.map(({ at, kind, title }) => ({ at: at.toISOString(), kind, ...(title !== null && { title }) }))
}
