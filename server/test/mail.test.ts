import { once } from 'node:events'
import type { AddressInfo } from 'node:net'
import { SMTPServer } from 'smtp-server'
import { afterAll, afterEach, beforeAll, describe, expect, it } from 'vitest'
import { defaultLimits } from '../src/http/limits.ts'
import { smtpPost } from '../src/mail/smtpPost.ts'
import { sentSession, smallSession, testServer, type TestServer } from './support/testServer.ts'

let server: TestServer
afterEach(() => server.close())

describe('outgoing messages', () => {
  it('to somebody without an account contain nobody’s words', async () => {
    server = await testServer()
    const name = 'Win at shop.example.com'
    await server.browser().post('/api/accounts').send({ name, email: 'new@island.example', zone: 'UTC' }).expect(200)
    await server.flush()
    const [letter] = await server.outbox.list()
    expect(letter!.to).toBe('new@island.example')
    expect(letter!.subject + letter!.text).not.toContain('Win')
    expect(letter!.text).not.toContain('shop')
  })

  it('to a colleague have no address in name and title, however it is written', async () => {
    server = await testServer()
    const own = await server.teacher('own@island.example')
    await own.put('/api/me').send({ name: 'shop\uff0eexample\uff0ecom' }).expect(200)
    const { workoutId: sessionId } = await sentSession(own, smallSession('Look: //shop.example/win'))
    await own.post(`/api/workouts/${sessionId}/copies`).send({ email: 'colleague@island.example' }).expect(200)
    const [letter] = await server.outbox.list()
    const words = (letter!.subject + letter!.text).normalize('NFKC')
    expect(words).not.toContain('shop')
    expect(words).toContain('/copy/')
  })

  it('to families have their link in it and no other address, in any spelling', async () => {
    server = await testServer()
    const own = await server.teacher('own@island.example')
    const { publication } = await sentSession(own)
    const send = (text: string, subject = 'Springs') =>
      own.post(`/api/publications/${publication.id}/message`).send({ to: 'families@island.example', subject, text })
    for (const words of ['shop.example.com', '//shop.example', 'shop\u3002com', 'sh\u200bop.com']) {
      expect((await send(`At home: ${words}`)).body.problems).toMatchObject([{ code: 'bad-format', path: ['text'] }])
      expect((await send('At home', words)).body.problems).toMatchObject([{ path: ['subject'] }])
    }
    await send(`At home: http://esfuerzo.test/go/${publication.token}`).expect(200)
  })
})

describe('a mail server that refuses', () => {
  const sink = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onRcptTo: ({ address }, _session, done) => {
      const code = address.startsWith('nobody') ? 550 : address.startsWith('later') ? 451 : 0
      done(code ? Object.assign(new Error(`${code} <${address}> is not here`), { responseCode: code }) : undefined)
    },
    onData: (stream, _session, done) => {
      stream.resume()
      stream.on('end', () => done())
    },
  })
  let port: number
  beforeAll(async () => {
    await once(sink.listen(0, '127.0.0.1'), 'listening')
    port = (sink.server.address() as AddressInfo).port
  })
  afterAll(() => new Promise<void>((resolve) => sink.close(() => resolve())))

  it('has its refusal reported, nothing of the message is kept, and no log line names the address', async () => {
    const post = smtpPost(`smtp://127.0.0.1:${port}`, 'Esfuerzo <esfuerzo@school.example>')
    server = await testServer(defaultLimits, { post, outbox: undefined })
    const own = await server.teacher('own@island.example')
    const { publication, workoutId: sessionId } = await sentSession(own)
    const families = (to: string) =>
      own.post(`/api/publications/${publication.id}/message`).send({ to, subject: 'Springs', text: 'At home' })
    expect((await families('nobody@island.example')).body).toMatchObject({ status: 422, code: 'recipient-refused' })
    expect((await families('later@island.example')).body).toMatchObject({ status: 503, code: 'mail-away' })
    await families('families@island.example').expect(200)
    const copy = (email: string) => own.post(`/api/workouts/${sessionId}/copies`).send({ email })
    expect((await copy('nobody@island.example')).body.code).toBe('recipient-refused')
    expect(await server.db('copies')).toEqual([])
    await copy('colleague@island.example').expect(200)
    // A failure after the answer only appears in the log.
    await server
      .browser()
      .post('/api/accounts')
      .send({ name: 'N', email: 'nobody@island.example', zone: 'UTC' })
      .expect(200)
    await server.flush()
    expect(server.logged.some((line) => line.includes('a message could not be sent'))).toBe(true)
    expect(server.logged.join('\n')).not.toMatch(/[\w.]+@[\w.]+/)
    post.close()
  })
})
