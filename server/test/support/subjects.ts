import { randomUUID } from 'node:crypto'
import { newSettings, partOf } from '@esfuerzo/core'
import { newTerm } from '@esfuerzo/core/term'
import { endpoints, type EndpointName, type PublicationInfo } from '@esfuerzo/contract'
import { keepOriginal } from '../../src/originals/store.ts'
import { pupilCode } from '../../src/pupils/pupilCode.ts'
import { ownSquat, runOf, sentSession, smallSession, type Agent, type TestServer } from './testServer.ts'

/** What the routes are called with: one of everything a teacher has. */
export interface Subjects {
  sent: { workoutId: string; publication: PublicationInfo }
  /** A link that was ended as misused. */
  ended: PublicationInfo
  /** A run that came back. */
  came: string
  /** A revision of the session, a saved part, a copy's link. */
  version: string
  kept: string
  copy: string
  schoolClass: string
  /** A pupil of the class, and its code. */
  pupil: string
  code: string
  /** A term, the address its calendar uses, and one that has been withdrawn. */
  term: string
  termToken: string
  endedTermToken: string
  outboxKey: string
}

/** A token that leads nowhere. */
export const noToken = 'A'.repeat(22)

const felt = { what: 'felt' }
const somePart = () => partOf(smallSession(), smallSession().sections[1]!)
const aTerm = (session: string) => ({
  ...newTerm('Springs all term', '2027-01-04'),
  places: [{ id: 'd1', date: '2027-01-05', session }],
})

/** One of everything, recreated; the previous ones are deleted. */
export async function makeSubjects(server: TestServer, own: Agent): Promise<Subjects> {
  const sent = await sentSession(own)
  const { publication: ended } = await sentSession(own)
  await own.post(`/api/publications/${ended.id}/end`).send({ misused: true }).expect(200)
  const run = runOf(sent.publication)
  await server.browser().post(`/api/go/${sent.publication.token}/runs`).send(run).expect(200)
  const { id: teacherId } = (await own.get('/api/me').expect(200)).body
  await keepOriginal(server.db, teacherId, sent.workoutId, 'Springs, as they came')
  const { versions } = (await own.get(`/api/workouts/${sent.workoutId}/versions`).expect(200)).body
  for (const table of ['shelf', 'own_moves', 'classes', 'terms', 'copies'])
    await server.db(table).where({ teacher_id: teacherId }).delete()
  const made = async (path: string, body: object) => (await own.post(path).send(body).expect(200)).body
  const kept = await made('/api/shelf', { name: 'Springs', part: somePart() })
  await made('/api/moves', { format: 'esfuerzo.moves', version: 1, moves: [ownSquat()] })
  const { id: schoolClass } = await made('/api/classes', { name: '2b', grades: [2] })
  const { pupils } = await made(`/api/classes/${schoolClass}/pupils`, { aliases: ['Tern 4'] })
  const termOf = async () => (await made('/api/terms', { document: aTerm(sent.workoutId) })).id as string
  const addressOfTerm = async (id: string) => (await made(`/api/terms/${id}/link`, {})).link.token as string
  const over = await termOf()
  const endedTermToken = await addressOfTerm(over)
  await own.delete(`/api/terms/${over}/link`).expect(200)
  const term = await termOf()
  return {
    sent,
    ended,
    came: run.id,
    version: versions[0].id,
    kept: kept.id,
    copy: (await made(`/api/workouts/${sent.workoutId}/copies`, {})).token,
    schoolClass,
    pupil: pupils[0].id,
    code: pupilCode(pupils[0].id, 1, 's'.repeat(40)),
    term,
    termToken: await addressOfTerm(term),
    endedTermToken,
    outboxKey: server.outboxKey,
  }
}

/** What each route takes. */
const bodies: Partial<Record<EndpointName, (about: Subjects) => unknown>> = {
  signIn: () => ({ email: 'nobody@island.example', password: 'wrong' }),
  signInByLink: () => ({ token: noToken }),
  changePassword: () => ({ current: 'not the password', next: 'another good one' }),
  createSession: () => ({ document: smallSession() }),
  createTerm: ({ sent }) => ({ document: aTerm(sent.workoutId) }),
  saveTerm: ({ sent }) => ({ revision: 1, document: aTerm(sent.workoutId) }),
  signUp: () => ({ name: 'New', email: `${Math.random()}@island.example`, zone: 'UTC' }),
  forgotPassword: () => ({ email: `${Math.random()}@island.example` }),
  choosePassword: () => ({ token: noToken, password: 'long enough for anybody' }),
  rename: () => ({ name: 'Renamed' }),
  deleteAccount: () => ({ password: 'not the password' }),
  saveSettings: () => newSettings('UTC'),
  keepRevision: () => ({}),
  nameRevision: () => ({ name: 'Before the storm' }),
  sendCopy: () => ({}),
  keepPart: () => ({ name: 'Springs', part: somePart() }),
  renamePart: () => ({ name: 'Another name' }),
  saveSession: () => ({ revision: 1, document: smallSession('Changed') }),
  publishSession: () => ({ revision: 1, days: 7 }),
  sendRun: ({ sent }) => runOf(sent.publication),
  addClass: () => ({ name: '2b', grades: [2] }),
  saveClass: () => ({ name: '3b', grades: [3] }),
  addPupils: () => ({ aliases: [`Tern ${Math.floor(Math.random() * 1e9)}`] }),
  savePupil: ({ schoolClass }) => ({ alias: 'Plover 7', note: '', classId: schoolClass }),
  writeBook: ({ pupil }) => ({ cells: [{ ...felt, id: randomUUID(), pupil, value: 3, was: null, source: 'typed' }] }),
  moveRun: ({ pupil }) => ({ pupil }),
  giveCode: ({ code }) => ({ code }),
  messageFamilies: () => ({ to: 'families@island.example', subject: 'Springs', text: 'At home on Monday' }),
  messageTermFamilies: () => ({ to: 'families@island.example', subject: 'This week', text: 'Springs on Tuesday' }),
  keepOwnMoves: () => ({ format: 'esfuerzo.moves', version: 1, moves: [ownSquat()] }),
}

const queries: Partial<Record<EndpointName, (about: Subjects) => string>> = {
  calendar: () => '?days=2026-03-02&at=09:00',
  listOutbox: ({ outboxKey }) => `?key=${outboxKey}`,
}

const routesOf = {
  publication: ['endPublication', 'removeRun', 'removeRuns', 'calendar', 'messageFamilies', 'moveRun'],
  schoolClass: [
    'saveClass',
    'removeClass',
    'restoreClass',
    'readClass',
    'addPupils',
    'slips',
    'listSentSessions',
    'readTests',
    'readPace',
    'readBook',
    'writeBook',
  ],
  pupil: ['savePupil', 'renewCode', 'removePupil', 'restorePupil', 'deletePupil', 'exportPupil'],
  term: [
    'readTerm',
    'saveTerm',
    'removeTerm',
    'restoreTerm',
    'keepTermRevision',
    'readDone',
    'termCalendar',
    'readTermLink',
    'makeTermLink',
    'endTermLink',
    'listTermLinks',
    'messageTermFamilies',
  ],
  kept: ['renamePart', 'removePart'],
} as const satisfies Record<string, readonly EndpointName[]>

/** A valid body for a route; undefined if it takes none. */
export const bodyOf = (name: EndpointName, about: Subjects): unknown => bodies[name]?.(about)

/** The value of each `:name` in a route's path. */
export function paramsOf(name: EndpointName, about: Subjects): Record<string, string> {
  const { publication } = about.sent
  const is = (routes: readonly EndpointName[]) => routes.includes(name)
  const id = is(routesOf.publication)
    ? publication.id
    : is(routesOf.schoolClass)
      ? about.schoolClass
      : is(routesOf.pupil)
        ? about.pupil
        : is(routesOf.term)
          ? about.term
          : is(routesOf.kept)
            ? about.kept
            : name === 'removeOwnMove'
              ? 'own-squat'
              : about.sent.workoutId
  const token = name === 'readCopy' ? about.copy : name === 'subscribedTerm' ? about.termToken : publication.token
  return {
    id,
    token,
    version: about.version,
    run: about.came,
    publication: publication.id,
    file: 'no-such-message.eml',
    sha256: publication.sha256,
    name: 'workout.json',
    kind: 'care',
  }
}

/** The query of a route's address. */
export const queryOf = (name: EndpointName, about: Subjects): string => queries[name]?.(about) ?? ''

/** The address of a route. @param instead other values for some of its names, and for its query */
export function addressOf(
  name: EndpointName,
  about: Subjects,
  { query = queryOf(name, about), ...instead }: Record<string, string> = {},
): string {
  const params = { ...paramsOf(name, about), ...instead }
  return endpoints[name].path.replaceAll(/:(\w+)/g, (_, key: string) => params[key]!) + query
}
