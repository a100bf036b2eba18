import ICAL from 'ical.js'
import { getDocument } from 'pdfjs-dist/legacy/build/pdf.mjs'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { sessionView, type Session } from '@esfuerzo/core'
import { checkSession, findingText, type Finding } from '@esfuerzo/core/checks'
import { publish, type Publication } from '@esfuerzo/core/publication'
import { papers, sheetKinds, type PublicationInfo } from '@esfuerzo/contract'
import { demoSessions, demoSession } from '../src/demo/sessions.ts'
import { lookSheet } from '../src/sheets/lookSheet.ts'
import { pdfOf, sheetPdf } from '../src/sheets/sheetPdf.ts'
import { samples } from '../../core/test/support/samples.ts'
import { library, sentSession, smallSession, testServer, type Agent, type TestServer } from './support/testServer.ts'

/** A PDF's pages as another program reads them. */
async function readPdf(bytes: Uint8Array): Promise<{ text: string; pages: { width: number; height: number }[] }> {
  const document = await getDocument({ data: new Uint8Array(bytes), useSystemFonts: false, verbosity: 0 }).promise
  const pages: { width: number; height: number }[] = []
  let text = ''
  for (let n = 1; n <= document.numPages; n++) {
    const page = await document.getPage(n)
    const { width, height } = page.getViewport({ scale: 1 })
    pages.push({ width: Math.round(width), height: Math.round(height) })
    const { items } = await page.getTextContent()
    text += `${items.map((item) => ('str' in item ? item.str : '')).join(' ')}\n`
  }
  // A line may break after a dash.
  return { text: text.replace(/\s+/g, ' ').replace(/([-–]) /g, '$1'), pages }
}

const sessions = new Map(
  demoSessions.map((session) => {
    const workout = demoSession(session, library)
    return [workout.title, workout] as const
  }),
)
const sent = (title: string): Publication => publish(sessions.get(title)!, library, 'Ask in the gym if in doubt.')
const sheet = (publication: Publication, more: Partial<Parameters<typeof sheetPdf>[1]>) =>
  sheetPdf(publication, { kind: 'session', lanes: ['g1'], language: 'en', paper: 'a4', ...more }).then(readPdf)

describe('print', () => {
  it('has every kind of sheet for demo sessions, with nothing undefined on it', async () => {
    for (const kind of sheetKinds) {
      // The sheet that most is on is made of all of them, others of some.
      const every = kind === 'session' ? samples(7, 1) : samples(15, 3)
      const some = [...sessions].filter((_, i) => i % every === 0)
      for (const [title, session] of some) {
        const { text, pages } = await sheet(publish(session, library), { kind, lanes: ['g3'], language: 'es' })
        expect(pages.length).toBeGreaterThan(0)
        expect(text, `${kind} of ${title}`).not.toMatch(/undefined|NaN|\[object/)
      }
    }
  }, 900_000)

  it('shows the teacher her checks, with her answers, and a clean page if there are none', async () => {
    const session = sessions.get('Storm-day springs')!
    const print = (found: Finding[], language: 'en' | 'es') =>
      pdfOf(lookSheet(session, found, language, library), { title: session.title, language, paper: 'a4' }).then(readPdf)
    const found = checkSession(session, library)
    const answered = found.map((f, i) => (i === 0 ? { ...f, answered: 'we land on mats' } : f))
    expect((await print(answered, 'en')).text).toContain('Ignored: we land on mats')
    for (const f of found) expect((await print(found, 'es')).text).toContain(findingText(f, 'es').what.slice(0, 12))
    const clean = (await print([], 'en')).text
    expect(clean).toContain('All checks are fine')
    // With each lane's predicted pulse and its limits.
    const zones = [...clean.matchAll(/(\d+) min (light|moderate|vigorous)/g)]
    expect(zones).toHaveLength(3 * session.groups.length)
    const minutes = zones.reduce((sum, [, n]) => sum + Number(n), 0)
    const ends = sessionView(session, library).reduce((sum, l) => sum + l.totals.session.seconds.typical / 60, 0)
    expect(Math.abs(minutes - ends)).toBeLessThan(zones.length / 2)
    expect(clean).toContain('Real children differ')
  })

  it('is A4 or Letter', async () => {
    const sizes = await Promise.all(papers.map((paper) => sheet(sent('Storm-day springs'), { kind: 'care', paper })))
    expect(sizes.map(({ pages }) => pages[0])).toEqual([
      { width: 595, height: 842 },
      { width: 612, height: 792 },
    ])
  })

  it('has for a lane what that lane does, its doses and cues, the care texts and the school’s line', async () => {
    const { text } = await sheet(sent('Storm-day springs'), {})
    for (const part of [
      'Storm-day springs',
      'Grades K–1',
      'Frog jump',
      'March on the spot',
      'Stay safe',
      'Ask in the gym',
    ])
      expect(text).toContain(part)
    expect(text).toMatch(/work 20 s, rest 40 s/)
    expect(text).not.toContain('Tuck jump')
  })

  it('puts a surprise on a page of its own, after a line that says so', async () => {
    const bytes = await sheetPdf(sent('Storm-day springs'), {
      kind: 'session',
      lanes: ['g1'],
      language: 'en',
      paper: 'a4',
    })
    const { text } = await readPdf(bytes)
    expect(text.indexOf('Turn the sheet over')).toBeLessThan(text.indexOf('Side step over the line'))
    expect(text.indexOf('Stay safe')).toBeLessThan(text.indexOf('Side step over the line'))
  })

  it('works in Spanish, including accented letters', async () => {
    const { text } = await sheet(sent('Storm-day springs'), { language: 'es' })
    for (const part of ['Calentamiento', 'Salto de rana', 'Cuídate', 'sillón'.slice(0, 4)]) expect(text).toContain(part)
    expect(text).not.toContain('Stay safe')
  })

  it('a coin sheet has every row under its face, and says if a session has none', async () => {
    const { text } = await sheet(sent('Heads for the harbour'), { kind: 'coin', lanes: ['g3'] })
    expect(text).toMatch(/Heads.*Tails/)
    for (const move of ['Squat', 'Jumping jack', 'Crab walk']) expect(text).toContain(move)
    expect((await sheet(sent('Storm-day springs'), { kind: 'coin' })).text).toContain(
      'The session has nothing for this sheet',
    )
  })

  it('a results form has a row for each record, a weight if there is one, and the lane’s own scale', async () => {
    expect((await sheet(sent('Storm-day springs'), { kind: 'results' })).text).toContain('just right')
    expect((await sheet(sent('Storm-day springs'), { kind: 'results', lanes: ['g3'] })).text).toContain('no effort')
  })
})

describe('sending home', () => {
  let server: TestServer
  let own: Agent
  let link: { workoutId: string; publication: PublicationInfo }
  beforeAll(async () => {
    server = await testServer()
    own = await server.teacher('own@island.example')
    link = await sentSession(own)
  })
  afterAll(() => server.close())

  it('gives a family its sheet through the link, and refuses an unknown lane', async () => {
    const family = server.browser()
    const path = `/api/go/${link.publication.token}/sheets/session`
    const answer = await family.get(`${path}?lanes=g1&language=es&paper=letter`).expect(200)
    expect(answer.headers['content-type']).toBe('application/pdf')
    expect((await readPdf(answer.body)).pages[0]).toEqual({ width: 612, height: 792 })
    const wrong = await family.get(`${path}?lanes=g9`).expect(400)
    expect(wrong.body.problems[0]).toMatchObject({ code: 'unknown-group', received: 'g9' })
    await family.get(`${path}?language=xx`).expect(400)
    await family.get(path.replace('session', 'everything')).expect(400)
  })

  it('writes home days that another program reads: the school’s hour in summer and in winter, once each', async () => {
    const settings = (await own.get('/api/settings').expect(200)).body
    await own
      .put('/api/settings')
      .send({ ...settings, zone: 'Europe/Lisbon' })
      .expect(200)
    const path = `/api/publications/${link.publication.id}/calendar?days=2026-01-12,2026-07-13&at=09:30`
    const { text } = await own
      .get(path)
      .expect(200)
      .expect('content-type', /text\/calendar/)
    const events = new ICAL.Component(ICAL.parse(text)).getAllSubcomponents('vevent').map((c) => new ICAL.Event(c))
    expect(events.map((e) => e.startDate.toJSDate().toISOString())).toEqual([
      '2026-01-12T09:30:00.000Z',
      '2026-07-13T08:30:00.000Z',
    ])
    expect(new Set(events.map((e) => e.uid)).size).toBe(2)
    expect(events[0]!.summary).toBe('Springs')
    expect(events[0]!.description).toContain(`/go/${link.publication.token}`)
    expect(events[0]!.duration.toSeconds()).toBeGreaterThan(0)
    await own.get(path.replace('2026-01-12', '2026-13-45')).expect(400)
  })

  it('sends families a message with what she wrote, up to the account’s limit', async () => {
    const path = `/api/publications/${link.publication.id}/message`
    const message = { to: 'families@island.example', subject: 'Springs on Monday', text: 'No ferry, no hall.' }
    await own.post(path).send(message).expect(200)
    const { messages } = (await own.get(`/api/outbox?key=${server.outboxKey}`).expect(200)).body
    expect(messages[0]).toMatchObject({ to: 'families@island.example', subject: 'Springs on Monday' })
    expect(messages[0].text).toContain('No ferry')
    expect(messages[0].text).toMatch(/Test <\S+@island.example> sent you this with Esfuerzo/)
    const own_ = `http://esfuerzo.test/go/${link.publication.token}`
    await own
      .post(path)
      .send({ ...message, text: `Here: ${own_}` })
      .expect(200)
    for (const text of ['Buy at https://elsewhere.example', `${own_} or www.elsewhere.example`]) {
      const refused = await own.post(path).send({ ...message, text })
      expect([refused.status, refused.body.problems[0].path]).toEqual([400, ['text']])
      expect(refused.body.detail).toContain('no web address except the link itself')
    }
    await own
      .post(path)
      .send({ ...message, to: 'nobody' })
      .expect(400)
    const answers = []
    for (let i = 0; i < 25; i++) answers.push((await own.post(path).send(message)).status)
    expect(answers).toContain(429)
  })

  it('stores classes by name and grades, and tells a link’s family which grades it is for', async () => {
    const made = (
      await own
        .post('/api/classes')
        .send({ name: '4a', grades: [4] })
        .expect(200)
    ).body
    await own
      .post('/api/classes')
      .send({ name: 'x', grades: [4, 4] })
      .expect(400)
    await own
      .put(`/api/classes/${made.id}`)
      .send({ name: '4 and 5', grades: [4, 5] })
      .expect(200)
    const body = { revision: 1, days: 7, classId: made.id }
    const path = `/api/workouts/${link.workoutId}/publications`
    const published = (await own.post(path).send(body).expect(200)).body
    expect(published.classId).toBe(made.id)
    const resolved = await server.browser().get(`/api/go/${published.token}`).expect(200)
    expect(resolved.body.grades).toEqual([4, 5])
    const other = await server.teacher('other@island.example')
    const theirs = (
      await other
        .post('/api/classes')
        .send({ name: 'theirs', grades: [1] })
        .expect(200)
    ).body
    await own
      .post(path)
      .send({ ...body, classId: theirs.id })
      .expect(400)
    await own.delete(`/api/classes/${made.id}`).expect(200)
    const after = await server.browser().get(`/api/go/${published.token}`).expect(200)
    expect(after.body).not.toHaveProperty('grades')
  })

  it('uses the session as it was last sent, whatever was changed since', async () => {
    const changed: Session = smallSession('Springs and more')
    await own.put(`/api/workouts/${link.workoutId}`).send({ revision: 1, document: changed }).expect(200)
    const last = (await own.get(`/api/workouts/${link.workoutId}/last-sent`).expect(200)).body
    expect(last.document.title).toBe('Springs')
    const fresh = (await own.post('/api/workouts').send({ document: smallSession() }).expect(200)).body
    expect((await own.get(`/api/workouts/${fresh.id}/last-sent`).expect(200)).body).toEqual({ document: null })
  })
})
