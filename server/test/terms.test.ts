import ICAL from 'ical.js'
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { DateTime } from 'luxon'
import { newTerm, openDays, type Term } from '@esfuerzo/core/term'
import { newSettings } from '@esfuerzo/core'
import { defaultLimits } from '../src/http/limits.ts'
import {
  origin,
  runOf,
  sentSession,
  smallSession,
  testServer,
  type Agent,
  type TestServer,
} from './support/testServer.ts'

let server: TestServer
let own: Agent
beforeAll(async () => {
  server = await testServer(defaultLimits)
  own = await server.teacher('own@island.example')
})
afterAll(() => server.close())
beforeEach(async () => {
  await server.db('terms').delete()
})

const add = async (document: Term): Promise<string> =>
  (await own.post('/api/terms').send({ document }).expect(200)).body.id
const save = (id: string, revision: number, document: Term) => own.put(`/api/terms/${id}`).send({ revision, document })
/** The events of a calendar, read by another package than the one that wrote it. */
const events = (text: string) =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((c) => {
    const event = new ICAL.Event(c)
    return { uid: event.uid, title: event.summary, start: event.startDate.toJSDate(), sequence: event.sequence }
  })

describe('a term', () => {
  it('is saved over its revision, and a second one that started from the same is a conflict', async () => {
    const term = newTerm('Autumn', '2027-09-06')
    const id = await add(term)
    expect((await save(id, 1, { ...term, weeks: 10 }).expect(200)).body.revision).toBe(2)
    expect((await save(id, 1, { ...term, weeks: 4 }).expect(409)).body.code).toBe('conflict')
    expect((await own.get(`/api/terms/${id}`).expect(200)).body.document.weeks).toBe(10)
    expect((await own.get('/api/terms').expect(200)).body.terms).toMatchObject([
      { id, title: 'Autumn', starts: '2027-09-06', weeks: 10, revision: 2 },
    ])
  })

  it('that is invalid is refused with its mistakes by path, and nothing changes', async () => {
    const term = newTerm('Autumn', '2027-09-06')
    const id = await add(term)
    const place = { id: 'd1', date: '2027-09-07' }
    const wrong = {
      ...term,
      places: [place, { ...place, id: 'd2' }],
      off: [{ from: '2027-10-10', to: '2027-10-01', name: 'x' }],
    }
    const { body } = await save(id, 1, wrong).expect(400)
    expect(body.problems.map((p: { path: unknown[] }) => p.path.slice(-3))).toEqual([
      ['places', 1, 'date'],
      ['off', 0, 'to'],
    ])
    expect((await own.get(`/api/terms/${id}`)).body).toMatchObject({ revision: 1, document: { places: [] } })
  })

  it('goes into the trash and out again', async () => {
    const id = await add(newTerm('Autumn', '2027-09-06'))
    await own.delete(`/api/terms/${id}`).expect(200)
    expect((await own.get('/api/terms')).body).toMatchObject({ terms: [], removed: [{ id, title: 'Autumn' }] })
    await own.get(`/api/terms/${id}`).expect(404)
    await own.post(`/api/terms/${id}/restore`).expect(200)
    expect((await own.get('/api/terms')).body).toMatchObject({ terms: [{ id }], removed: [] })
  })

  it('counts each home once for the place its results belong to, by the school’s dates', async () => {
    const { workoutId: sessionId, publication } = await sentSession(own)
    const send = async (finished: string) => {
      const run = {
        ...runOf(publication),
        finishedAt: finished,
        startedAt: new Date(Date.parse(finished) - 600_000).toISOString(),
      }
      await server.browser().post(`/api/go/${publication.token}/runs`).send(run).expect(200)
    }
    const today = DateTime.utc().startOf('day')
    const [first, second] = [today.minus({ days: 9 }), today.minus({ days: 2 })]
    await send(first.plus({ hours: 12 }).toISO())
    await send(first.plus({ days: 3, hours: 12 }).toISO())
    await send(second.plus({ hours: 12 }).toISO())
    // Before its date it belongs to no place.
    await send(first.minus({ days: 1 }).plus({ hours: 12 }).toISO())
    const places = [first, second].map((day, i) => ({ id: `d${i}`, date: day.toISODate(), session: sessionId }))
    const id = await add({ ...newTerm('Now', first.toISODate()), places })
    expect((await own.get(`/api/terms/${id}/done`).expect(200)).body).toEqual({
      done: [
        { place: 'd0', homes: 2 },
        { place: 'd1', homes: 1 },
      ],
      children: null,
    })
    // Another class has no results.
    const { body } = await own
      .post('/api/classes')
      .send({ name: '4b', grades: [4] })
      .expect(200)
    const other = await add({ ...newTerm('Theirs', first.toISODate()), places, class: body.id })
    expect((await own.get(`/api/terms/${other}/done`).expect(200)).body).toEqual({ done: [], children: 0 })
  })
})

it('a weekly message has links of the term’s sessions in it and no others', async () => {
  const { workoutId: sessionId, publication } = await sentSession(own)
  const { publication: other } = await sentSession(own)
  const places = [{ id: 'd1', date: '2027-01-05', session: sessionId }]
  const id = await add({ ...newTerm('Short', '2027-01-04'), places })
  const { links } = (await own.get(`/api/terms/${id}/links`).expect(200)).body
  expect(links).toMatchObject([{ workout: sessionId, token: publication.token }])
  const send = (text: string) =>
    own.post(`/api/terms/${id}/message`).send({ to: 'families@island.example', subject: 'This week', text })
  await send(`Tuesday: Springs\n${origin}/go/${publication.token}`).expect(200)
  await server.flush()
  expect((await server.outbox.list())[0]).toMatchObject({ subject: 'This week' })
  expect((await send(`Tuesday: ${origin}/go/${other.token}`).expect(400)).body.problems[0].path).toEqual(['text'])
})

describe('the calendar of a term', () => {
  const placed = async (term: Term): Promise<Term> => {
    const { id } = (
      await own
        .post('/api/workouts')
        .send({ document: smallSession('Springs') })
        .expect(200)
    ).body
    return { ...term, places: openDays(term).map((d, i) => ({ id: `d${i}`, date: d.date, session: id })) }
  }

  it.each(['Atlantic/Azores', 'Europe/Madrid', 'America/New_York', 'Australia/Sydney', 'Pacific/Auckland'])(
    'is right over both clock changes in %s',
    async (zone) => {
      await own.put('/api/settings').send(newSettings(zone)).expect(200)
      const id = await add(await placed({ ...newTerm('Year', '2027-01-04'), weeks: 30 }))
      const later = await add(await placed({ ...newTerm('Rest', '2027-08-02'), weeks: 20 }))
      for (const term of [id, later]) {
        const { text } = await own.get(`/api/terms/${term}/calendar`).expect(200)
        const found = events(text)
        expect(found.length).toBeGreaterThanOrEqual(40)
        const offsets = found.map(({ start }) => {
          const there = DateTime.fromJSDate(start, { zone })
          expect(there.toFormat('HH:mm')).toBe('15:00')
          expect([2, 4]).toContain(there.weekday)
          return there.offset
        })
        expect(new Set(offsets).size).toBe(2)
      }
    },
  )

  it('keeps its ids and raises its sequence when a session moves; holidays have none', async () => {
    const term = await placed({ ...newTerm('Short', '2027-01-04'), weeks: 2 })
    const id = await add(term)
    const before = events((await own.get(`/api/terms/${id}/calendar`)).text)
    const [first, ...rest] = term.places
    const moved = {
      ...term,
      days: [...term.days, { weekday: 5, at: '09:30' }],
      places: [{ ...first!, date: '2027-01-08' }, ...rest],
    }
    await save(id, 1, { ...moved, off: [{ from: '2027-01-11', to: '2027-01-17', name: 'Snow' }] }).expect(200)
    const after = events((await own.get(`/api/terms/${id}/calendar`)).text)
    expect(after).toHaveLength(2)
    const now = after.find((e) => e.uid === before[0]!.uid)!
    expect(now.start.getTime() - before[0]!.start.getTime()).not.toBe(0)
    expect(now.sequence).toBeGreaterThan(before[0]!.sequence)
  })

  it('is polled at its address: unchanged first, then the change; after its end it shows nothing', async () => {
    const term = await placed({ ...newTerm('Short', '2027-01-04'), weeks: 2 })
    const id = await add(term)
    expect((await own.get(`/api/terms/${id}/link`)).body).toEqual({ link: null })
    const { token } = (await own.post(`/api/terms/${id}/link`).expect(200)).body.link
    expect((await own.post(`/api/terms/${id}/link`)).body.link.token).toBe(token)
    const asks = server.browser()
    const first = await asks.get(`/api/go/${token}/calendar`).expect(200)
    expect(events(first.text).map((e) => e.title)).toEqual(Array(4).fill('Springs'))
    const again = (etag: string) => asks.get(`/api/go/${token}/calendar`).set('If-None-Match', etag)
    await again(first.headers.etag!).expect(304)
    await save(id, 1, { ...term, places: term.places.slice(1) }).expect(200)
    expect(events((await again(first.headers.etag!).expect(200)).text)).toHaveLength(3)
    await own.delete(`/api/terms/${id}/link`).expect(200)
    const over = await again(first.headers.etag!).expect(410)
    expect(over.text).not.toContain('Springs')
    const next = (await own.post(`/api/terms/${id}/link`)).body.link.token
    expect(next).not.toBe(token)
    // An address of a term in the trash finds nothing.
    await own.delete(`/api/terms/${id}`).expect(200)
    await asks.get(`/api/go/${next}/calendar`).expect(410)
  })
})
