import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest'
import { newSettings, settingsDocument, writtenDocument, type Settings } from '@esfuerzo/core'
import { defaultLimits } from '../src/http/limits.ts'
import { linkLife } from '../src/accounts/mailedLinks.ts'
import { runOf, sentSession, smallSession, testServer, type TestServer } from './support/testServer.ts'

let server: TestServer
beforeAll(async () => void (server = await testServer()))
beforeEach(() => server.db.raw('truncate teachers, snapshots, sign_ins, limits, mailed_links cascade'))
afterAll(() => server.close())

const password = 'a long new password'
const ana = { name: 'Ana', email: 'ana@island.example', zone: 'Atlantic/Azores' }

/** The newest message once there are this many; answers are sent before messages are written. */
async function message(count: number) {
  for (let i = 0; i < 100; i++) {
    const messages = await server.outbox.list()
    if (messages.length >= count) return messages[0]!
    await new Promise((resolve) => setTimeout(resolve, 20))
  }
  throw new Error(`no message number ${count}`)
}
const linkIn = (text: string) => /\/password\/([A-Za-z0-9_-]{22})/.exec(text)![1]!
const sent = async () => (await server.outbox.list()).length
const signIn = (who: string, secret: string) =>
  server.browser().post('/api/session').send({ email: who, password: secret })

describe('signing up', () => {
  it('sends a link that works once, creates the account and signs in', async () => {
    const before = await sent()
    await server.browser().post('/api/accounts').send(ana).expect(200, { demo: true })
    const { text, to, subject } = await message(before + 1)
    expect([to, subject]).toEqual([ana.email, 'Your Esfuerzo account'])
    expect(text).toContain('http://esfuerzo.test/password/')
    const browser = server.browser()
    const chosen = await browser
      .post('/api/password/chosen')
      .send({ token: linkIn(text), password })
      .expect(200)
    expect(chosen.body).toMatchObject({ name: 'Ana', email: ana.email })
    expect((await browser.get('/api/settings').expect(200)).body).toEqual(onTheWire(newSettings('Atlantic/Azores')))
    await signIn(ana.email, password).expect(200)
    await server
      .browser()
      .post('/api/password/chosen')
      .send({ token: linkIn(text), password })
      .expect(410)
  })

  it('answers the same if the account exists, and tells its owner by message', async () => {
    await server.teacher(ana.email)
    const before = await sent()
    await server
      .browser()
      .post('/api/accounts')
      .send({ ...ana, email: 'ANA@island.example' })
      .expect(200, { demo: true })
    const { text } = await message(before + 1)
    expect(text).toContain('you already have one')
    expect(text).not.toMatch(/\/password\//)
    await signIn(ana.email, 'correct horse').expect(200)
  })

  it.each([
    [{ ...ana, email: 'nobody' }, 'email'],
    [{ ...ana, name: '  ' }, 'name'],
    [{ ...ana, zone: 'not a zone!' }, 'zone'],
    [{ ...ana, admin: true }, 'admin'],
  ])('with %j is refused by name', async (body, field) => {
    const answer = await server.browser().post('/api/accounts').send(body).expect(400)
    expect(answer.body.problems[0].path).toEqual([field])
  })
})

describe('a forgotten password', () => {
  it('is changed by a link in a message, which signs every device out', async () => {
    const old = await server.teacher(ana.email)
    const before = await sent()
    await server
      .browser()
      .post('/api/password/forgotten')
      .send({ email: ' ANA@island.example ' })
      .expect(200, { demo: true })
    const token = linkIn((await message(before + 1)).text)
    await server.browser().post('/api/password/chosen').send({ token, password: 'short' }).expect(400)
    await server.browser().post('/api/password/chosen').send({ token, password }).expect(200)
    await old.get('/api/me').expect(401)
    await signIn(ana.email, 'correct horse').expect(401)
    await signIn(ana.email, password).expect(200)
  })

  it('for an unknown address gets the same answer and no message', async () => {
    const before = await sent()
    const known = await server.browser().post('/api/password/forgotten').send({ email: 'none@island.example' })
    expect([known.status, known.body]).toEqual([200, { demo: true }])
    await new Promise((resolve) => setTimeout(resolve, 150))
    expect(await sent()).toBe(before)
  })

  it('link expires after its hour, and after a newer one', async () => {
    await server.teacher(ana.email)
    const ask = async () => {
      const before = await sent()
      await server.browser().post('/api/password/forgotten').send({ email: ana.email }).expect(200)
      return linkIn((await message(before + 1)).text)
    }
    const first = await ask()
    const second = await ask()
    await server.browser().post('/api/password/chosen').send({ token: first, password }).expect(410)
    await server.db('mailed_links').update({ ends_at: new Date(Date.now() - 1) })
    await server.browser().post('/api/password/chosen').send({ token: second, password }).expect(410)
    expect(linkLife).toBe(3_600_000)
  })

  it('is sent a few times an hour to one address, however it is written; the last message still works', async () => {
    await server.teacher(ana.email)
    const before = await sent()
    for (let i = 0; i < defaultLimits.mail.points + 3; i++) {
      const email = i % 2 ? ana.email : ana.email.toUpperCase()
      await server.browser().post('/api/password/forgotten').send({ email }).expect(200, { demo: true })
      await server.flush()
    }
    expect(await sent()).toBe(before + defaultLimits.mail.points)
    // Somebody else's sign-up for the same address uses none of that up.
    await server.browser().post('/api/accounts').send(ana).expect(200)
    await server.flush()
    expect(await sent()).toBe(before + defaultLimits.mail.points + 1)
    const [, last] = await server.outbox.list()
    await server
      .browser()
      .post('/api/password/chosen')
      .send({ token: linkIn(last!.text), password })
      .expect(200)
  })
})

it('messages are real .eml files, read in the demo only and with its key', async () => {
  await server.browser().post('/api/accounts').send(ana).expect(200)
  await message(1)
  const key = `?key=${server.outboxKey}`
  const { messages } = (await server.browser().get(`/api/outbox${key}`).expect(200)).body
  const file = `/api/outbox/${messages[0].id}`
  const eml = await server.browser().get(`${file}${key}`).buffer(true).expect(200)
  expect(eml.headers['content-type']).toContain('message/rfc822')
  // RFC 5322: header fields, an empty line, the body, lines ended by CRLF.
  expect(String(eml.text ?? eml.body)).toMatch(/^(?:[A-Za-z-]+: .*\r\n(?: .*\r\n)*)+\r\n/)
  await server.browser().get(`/api/outbox/..%2F..%2Fsecret.eml${key}`).expect(400)
  for (const path of ['/api/outbox', file, '/api/outbox?key=AAAAAAAAAAAA', `${file}?key=AAAAAAAAAAAA`])
    await server.browser().get(path).expect(404)
})

/** As sent to a page that may be one release behind: in the previous version, if that can express it. */
const onTheWire = (settings: Settings) => writtenDocument(settingsDocument, settings)

describe('settings', () => {
  it('are stored as saved, for their teacher alone', async () => {
    const own = await server.teacher(ana.email)
    const other = await server.teacher('other@island.example')
    const settings = {
      ...newSettings('Pacific/Auckland'),
      gradeNames: ['R', '1', '2', '3', '4', '5', '6'],
      weekStart: 7,
    }
    await own.put('/api/settings').send(settings).expect(200)
    expect((await own.get('/api/settings')).body).toEqual(onTheWire(settings))
    // A country needs the version that has it; words of her own can be sent with either.
    const told = { ...settings, readings: { 'toe tap': 'ball-taps', pu: 'push-up:knee-push-up' } }
    await own.put('/api/settings').send(told).expect(200)
    expect((await own.get('/api/settings')).body).toEqual(onTheWire(told))
    await own
      .put('/api/settings')
      .send({ ...told, country: 'NZ' })
      .expect(200)
    expect((await own.get('/api/settings')).body).toEqual(onTheWire({ ...told, country: 'NZ' }))
    // The school's settings for single checks need this version.
    const policies: Settings = { ...told, checks: { 'no-water': 'off' } }
    await own.put('/api/settings').send(policies).expect(200)
    expect((await own.get('/api/settings')).body).toEqual(policies)
    expect((await other.get('/api/settings')).body.gradeNames[0]).toBe('K')
  })

  it.each([
    [{ zone: 'Mars/Olympus' }, 'zone'],
    [{ weekStart: 8 }, 'weekStart'],
    [{ gradeNames: ['K'] }, 'gradeNames'],
    [{ policy: { hold: '45', warmUp: 'moving' } }, 'policy'],
    [{ readings: Object.fromEntries(Array.from({ length: 501 }, (_, i) => [`word ${i}`, 'own'])) }, 'readings'],
    [{ readings: { '': 'own' } }, 'readings'],
    [{ country: 'Atlantis' }, 'country'],
  ])('with %j are refused by name', async (fields, field) => {
    const own = await server.teacher(ana.email)
    const answer = await own
      .put('/api/settings')
      .send({ ...newSettings('UTC'), ...fields })
      .expect(400)
    expect(answer.body.problems[0].path[0]).toBe(field)
    expect((await own.get('/api/settings')).body).toEqual(onTheWire(newSettings('Atlantic/Azores')))
  })
})

it('deleting everything needs the password, leaves nothing, and affects nobody else', async () => {
  const own = await server.teacher(ana.email)
  const other = await server.teacher('other@island.example')
  await server.browser().post('/api/password/forgotten').send({ email: ana.email }).expect(200)
  await server.browser().post('/api/accounts').send(ana).expect(200)
  await server.flush()
  const { publication, workoutId: sessionId } = await sentSession(own)
  await own.post(`/api/workouts/${sessionId}/copies`).send({ email: 'colleague@island.example' }).expect(200)
  await server.flush()
  const theirs = await sentSession(other, smallSession('Theirs'))
  const run = runOf(publication)
  await server.browser().post(`/api/go/${publication.token}/runs`).send(run).expect(200)
  await own.post('/api/me/delete').send({ password: 'wrong' }).expect(401)
  await own.get('/api/workouts').expect(200)
  await own.post('/api/me/delete').send({ password: 'correct horse' }).expect(200)
  await own.get('/api/me').expect(401)
  await signIn(ana.email, 'correct horse').expect(401)
  await server.browser().get(`/api/go/${publication.token}`).expect(404)
  const counts = async (table: string) => Number((await server.db(table).count({ n: '*' }))[0]!.n)
  expect(
    await Promise.all(['teachers', 'workouts', 'workout_versions', 'publications', 'snapshots', 'runs'].map(counts)),
  ).toEqual([1, 1, 1, 1, 1, 0])
  await server.browser().get(`/api/go/${theirs.publication.token}`).expect(200)
  // Nor in a message waiting to be delivered, nor in any cell of any table.
  expect((await server.outbox.list()).filter((m) => JSON.stringify(m).includes(ana.email))).toEqual([])
  const { rows: tables } = await server.db.raw<{ rows: { name: string }[] }>(
    "select table_name as name from information_schema.tables where table_schema = 'public'",
  )
  for (const { name } of tables) {
    const found = await server.db(name).whereRaw('??::text ilike ?', [name, `%${ana.email}%`])
    expect([name, found]).toEqual([name, []])
  }
})
