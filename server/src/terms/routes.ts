import type { Router } from 'express'
import type { Knex } from 'knex'
import { randomUUID } from 'node:crypto'
import { homeDays, type Term } from '@esfuerzo/core/term'
import { calendarFile } from '../calendar/calendarFile.ts'
import { findClass } from '../classes/store.ts'
import { writeFamilies } from '../handout/writeFamilies.ts'
import { noteEvent } from '../events/store.ts'
import { implement } from '../http/implement.ts'
import type { Counter } from '../http/limits.ts'
import { linkToken, tokenHash } from '../http/linkToken.ts'
import { ServerError, tooMany } from '../http/serverError.ts'
import type { Post } from '../mail/post.ts'
import { oneAtATime } from '../rights/oneAtATime.ts'
import { isOwn } from '../rights/rights.ts'
import { readSettings } from '../settings/store.ts'
import type { SessionMinutes } from './sessionMinutes.ts'
import {
  addTermLink,
  doneOf,
  endTermLink,
  findByTermToken,
  findTermLink,
  followedLinks,
  listTerms,
  sessionsOf,
  termRoom,
  terms,
} from './store.ts'

/** A session whose length is unknown. */
const usualMinutes = 20

/** A term as a calendar file: its places on home days, each with its session's title. */
async function termCalendar(db: Knex, minutes: SessionMinutes, teacherId: string, id: string): Promise<string> {
  const found = await terms.find(db, teacherId, id)
  if (!found) throw new ServerError('not-found')
  const { document, revision, updatedAt } = found
  const { zone } = await readSettings(db, teacherId)
  const sessions = await sessionsOf(db, teacherId, sessionsIn(document))
  const ofClass = document.class && (await findClass(db, teacherId, document.class))
  const takes = await minutes.of(teacherId, [...sessions.values()], ofClass ? ofClass.grades : undefined)
  const days = new Map(homeDays(document).map((d) => [d.date, d]))
  const events = document.places.flatMap((place) => {
    const day = days.get(place.date)
    const session = sessions.get(place.made ?? place.session ?? '')
    const title = session?.title ?? place.title
    if (!day || day.off !== undefined || !place.session || !title) return []
    return [
      {
        id: `${id}-${place.id}`,
        title,
        day: place.date,
        at: day.at,
        minutes: (session && takes.get(session.id)) ?? session?.minutes ?? usualMinutes,
        sequence: revision,
      },
    ]
  })
  return calendarFile({ name: document.title, zone, stamp: new Date(updatedAt), events })
}

export interface TermParts {
  db: Knex
  minutes: SessionMinutes
  secret: string
  post: Post
  /** Of messages that teachers write. */
  written: Counter
  /** Where links lead. */
  pagesAt: string
}

/** Every session of a term's days, in its current revision. */
const sessionsIn = ({ places }: Term): string[] => [...new Set(places.flatMap((p) => p.made ?? p.session ?? []))]

/** A teacher's terms. */
// oxlint-disable-next-line max-lines-per-function -- a table of routes
export function termRoutes(router: Router, { db, minutes, secret, post, written, pagesAt }: TermParts): void {
  async function own(teacherId: string, id: string): Promise<Term> {
    const found = await terms.find(db, teacherId, id)
    if (!found) throw new ServerError('not-found')
    return found.document
  }

  implement(router, 'listTerms', ({ teacherId }) => listTerms(db, teacherId))

  implement(router, 'createTerm', ({ teacherId, body }) =>
    db.transaction(async (trx) => {
      await oneAtATime(trx, teacherId)
      if ((await terms.count(trx, teacherId)) >= termRoom) throw tooMany('document', { atMost: termRoom, of: 'terms' })
      return terms.add(trx, teacherId, randomUUID(), body.document)
    }),
  )

  implement(router, 'readTerm', async ({ teacherId, params }) => {
    const found = await terms.find(db, teacherId, params.id)
    if (!found) throw new ServerError('not-found')
    return found
  })

  implement(router, 'saveTerm', async ({ teacherId, params, body }) => {
    const result = await terms.save(db, teacherId, params.id, body.revision, body.document)
    if (!result) throw new ServerError('not-found')
    if (result === 'conflict') throw new ServerError('conflict')
    return result
  })

  implement(router, 'removeTerm', async ({ teacherId, params }) => {
    if (!(await terms.remove(db, teacherId, params.id))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'restoreTerm', async ({ teacherId, params }) => {
    if (!(await terms.restore(db, teacherId, params.id))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'keepTermRevision', async ({ teacherId, params }) => {
    if (!(await terms.revisions.close(db, teacherId, params.id, { reason: 'edit' }))) throw new ServerError('not-found')
    return {}
  })

  implement(router, 'readDone', async ({ teacherId, params }) => {
    const term = await own(teacherId, params.id)
    const { zone } = await readSettings(db, teacherId)
    const schoolClass = term.class && (await findClass(db, teacherId, term.class))
    return { done: await doneOf(db, teacherId, term, zone), children: schoolClass ? schoolClass.pupils : null }
  })

  implement(router, 'termCalendar', async ({ teacherId, params, res }) => {
    const file = await termCalendar(db, minutes, teacherId, params.id)
    res.attachment('term.ics').type('text/calendar').send(file)
    return undefined
  })

  /** The existing address; none if it was made under another secret, which nobody can repeat. */
  async function linkOf(from: Knex, teacherId: string, id: string) {
    const row = await findTermLink(from, teacherId, id)
    const token = row && linkToken('term', row.id, secret)
    return row && token && tokenHash(token) === row.token_hash
      ? { token, madeAt: row.created_at.toISOString() }
      : undefined
  }

  implement(router, 'readTermLink', async ({ teacherId, params }) => {
    await own(teacherId, params.id)
    return { link: (await linkOf(db, teacherId, params.id)) ?? null }
  })

  implement(router, 'makeTermLink', async ({ teacherId, params }) => {
    await own(teacherId, params.id)
    const link = await db.transaction(async (trx) => {
      // Simultaneous requests get the same address: a second one would end the first.
      if (!(await isOwn(trx, teacherId, 'terms', params.id, 'lock'))) throw new ServerError('not-found')
      const there = await linkOf(trx, teacherId, params.id)
      if (there) return there
      await endTermLink(trx, teacherId, params.id)
      const id = randomUUID()
      await addTermLink(trx, teacherId, params.id, { id, tokenHash: tokenHash(linkToken('term', id, secret)) })
      await noteEvent(trx, teacherId, 'calendar-opened')
      return linkOf(trx, teacherId, params.id)
    })
    return { link: link! }
  })

  const followed = async (teacherId: string, id: string) =>
    (await followedLinks(db, teacherId, sessionsIn(await own(teacherId, id)))).map(({ id: publication, ...link }) => ({
      ...link,
      token: linkToken('publication', publication, secret),
    }))

  implement(router, 'listTermLinks', async ({ teacherId, params }) => ({
    links: (await followed(teacherId, params.id)).map(({ sessionId, token, endsAt }) => ({
      workout: sessionId,
      token,
      endsAt: endsAt.toISOString(),
    })),
  }))

  implement(router, 'messageTermFamilies', async ({ teacherId, params, body, req }) => {
    const tokens = (await followed(teacherId, params.id)).map((link) => link.token)
    const links = [pagesAt, req.get('origin') ?? pagesAt].flatMap((at) => tokens.map((token) => `${at}/go/${token}`))
    await writeFamilies({ db, post, written }, teacherId, body, links)
    return {}
  })

  implement(router, 'endTermLink', async ({ teacherId, params }) => {
    await own(teacherId, params.id)
    await endTermLink(db, teacherId, params.id)
    await noteEvent(db, teacherId, 'calendar-ended')
    return {}
  })
}

/** What a polling calendar gets, without signing in. */
export function subscribedTermRoutes(router: Router, db: Knex, minutes: SessionMinutes): void {
  implement(router, 'subscribedTerm', async ({ params, res }) => {
    const target = await findByTermToken(db, tokenHash(params.token))
    if (!target) throw new ServerError('not-found')
    if (target.ended) throw new ServerError('ended')
    const file = await termCalendar(db, minutes, target.teacherId, target.id)
    // If it asks again, it is told that nothing changed.
    res.set('Cache-Control', 'private, no-cache').type('text/calendar').send(file)
    return undefined
  })
}
