import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { newSettings, type Library } from '@esfuerzo/core'
import { publish } from '@esfuerzo/core/publication'
import { hashPassword } from '../accounts/password.ts'
import { addTeacher, anyTeacher } from '../accounts/store.ts'
import { publicationOf } from '../publications/publicationOf.ts'
import { snapshotOf } from '../snapshots/snapshot.ts'
import { addPublication } from '../publications/store.ts'
import { addPupils } from '../pupils/store.ts'
import { addClass } from '../classes/store.ts'
import { newEntry } from '../book/newEntry.ts'
import { addEntries } from '../book/store.ts'
import { addRuns } from '../runs/store.ts'
import { saveSettings } from '../settings/store.ts'
import { terms } from '../terms/store.ts'
import { sessions as store } from '../sessions/store.ts'
import { demoClasses, type DemoClass } from './classes.ts'
import { demoPaper } from './paper.ts'
import { demoRuns } from './runs.ts'
import { demoSessions, demoSession } from './sessions.ts'
import { demoTerm, type DemoSent } from './term.ts'

/** The demo's teacher. The password is no secret: it is printed at the start. */
export const demoSignIn = { email: 'marisol@island.example', password: 'ferry-on-monday' }

const hour = 60 * 60 * 1000
const day = 24 * hour
const week = 7 * day

/** A teacher with the demo's sessions. */
export interface DemoTeacher {
  email: string
  password: string
}

/** A session of the demo as it is stored for each teacher. */
function prepared(classes: readonly DemoClass[], library: Library, now: Date) {
  const pupils = classes.flatMap((c) => c.pupils)
  return demoSessions.map((session, seed) => {
    const document = demoSession(session, library)
    // Worked on yesterday.
    if (session.draft) {
      const at = new Date(now.getTime() - (demoSessions.length + 1 - seed) * hour)
      return { document, at, sent: [], tests: false }
    }
    const snapshot = snapshotOf(document, library)
    const publication = publish(document, library)
    // On a weekday morning some weeks ago, and some weeks earlier for a repeated one.
    const weeks = [...(session.before ?? []), session.weeksAgo]
    const sent = weeks.map((weeksAgo) => {
      const sentAt = new Date(now.getTime() - weeksAgo * week - (2 - (session.day ?? 0)) * day)
      const sent = {
        publication,
        sha256: snapshot.sha256,
        sentAt,
        until: now,
        weeksAgo,
        odd: session.odd ?? false,
        tests: session.tests ?? false,
      }
      const runs = demoRuns(sent, pupils, library, 100 * weeksAgo + seed + 1)
      const paper = classes.map((c, i) => ({ of: c, typed: demoPaper(sent, c, runs, 1000 * weeksAgo + 10 * seed + i) }))
      // Earlier links have ended; the latest is active.
      return { at: sentAt, days: weeksAgo === session.weeksAgo ? 90 : 14, runs, paper }
    })
    return { document, at: sent.at(-1)!.at, snapshot, sent, tests: session.tests ?? false }
  })
}

/**
 * Gives teachers the island school: fifteen sessions of different forms sent home over eight weeks with their results, and five drafts; a
 * term of twelve weeks. Dates are relative to today. Three teachers at a time, so that others wait for a connection no longer than a
 * request does.
 */
export async function addDemoTeachers(
  db: Knex,
  library: Library,
  secret: string,
  now: Date,
  teachers: readonly DemoTeacher[],
): Promise<void> {
  const classes = demoClasses(77)
  const island = { classes, sessions: prepared(classes, library, now), secret, now }
  const waiting = [...teachers]
  const lane = async () => {
    for (let next = waiting.shift(); next; next = waiting.shift()) await addDemoTeacher(db, island, next)
  }
  await Promise.all([lane(), lane(), lane()])
}

/** What all demo teachers have, ready to be written. */
interface Island {
  classes: readonly DemoClass[]
  sessions: ReturnType<typeof prepared>
  secret: string
  now: Date
}

async function addDemoTeacher(
  db: Knex,
  { classes, sessions, secret, now }: Island,
  { email, password }: DemoTeacher,
): Promise<void> {
  const passwordHash = await hashPassword(password)
  await db.transaction(async (trx) => {
    const teacherId = randomUUID()
    await addTeacher(trx, { id: teacherId, email, name: 'Marisol' }, 'Atlantic/Azores', passwordHash)
    await saveSettings(trx, teacherId, { ...newSettings('Atlantic/Azores'), school: 'The island school' })
    const ids = await addDemoClasses(trx, teacherId, classes, secret)
    const home: DemoSent[] = []
    for (const { document, at: made, snapshot, sent, tests } of sessions) {
      const sessionId = randomUUID()
      if (sent.length) home.push({ id: sessionId, title: document.title, sentAt: sent.map((s) => s.at), tests })
      await store.add(trx, teacherId, sessionId, document, made)
      for (const { at, days, runs, paper } of sent) {
        const publication = publicationOf({ teacherId, sessionId, document }, snapshot!, secret, at, days)
        await addPublication(trx, publication)
        const own = runs.map(({ run, alias }) => ({ run, pupil: alias && ids.pupils.get(alias) }))
        await addRuns(trx, { id: publication.id, teacherId }, own, snapshot!.outline)
        for (const { of: cell, typed } of paper) {
          const book = { teacherId, classId: ids.classes.get(cell)!, publicationId: publication.id }
          const entries = typed.map(({ alias, column, value }) =>
            newEntry(column, {
              id: randomUUID(),
              pupil: ids.pupils.get(alias)!,
              value,
              source: 'typed',
              replaces: null,
            }),
          )
          await addEntries(trx, book, entries, new Date(at.getTime() + 6 * day))
        }
      }
      if (sent.length) await store.revisions.close(trx, teacherId, sessionId, { reason: 'published' })
    }
    const term = demoTerm(home, [...ids.classes.values()].at(-1)!, now, 'Atlantic/Azores')
    await terms.add(trx, teacherId, randomUUID(), term)
  })
}

/** The classes with their pupils, and their ids in this database. */
async function addDemoClasses(
  trx: Knex.Transaction,
  teacherId: string,
  classes: readonly DemoClass[],
  secret: string,
): Promise<{ classes: Map<DemoClass, string>; pupils: Map<string, string> }> {
  const ids = { classes: new Map<DemoClass, string>(), pupils: new Map<string, string>() }
  for (const made of classes) {
    const id = randomUUID()
    await addClass(trx, teacherId, id, { name: made.name, grades: made.grades })
    const pupils = made.pupils.map(({ alias }) => ({ id: randomUUID(), alias }))
    await addPupils(trx, teacherId, id, pupils, secret)
    ids.classes.set(made, id)
    for (const { id: pupil, alias } of pupils) ids.pupils.set(alias, pupil)
  }
  return ids
}

/** Fills an empty database with the demo; a database that has a teacher is left unchanged. */
export async function addDemo(db: Knex, library: Library, secret: string, now: Date): Promise<void> {
  if (!(await anyTeacher(db))) await addDemoTeachers(db, library, secret, now, [demoSignIn])
}
