import { DOMWrapper, flushPromises, mount } from '@vue/test-utils'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { defineComponent, h, type Component } from 'vue'
import { createMemoryHistory, createRouter, type Router } from 'vue-router'
import { VApp } from 'vuetify/components/VApp'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import { addStation, newSession, saidMinutes } from '@esfuerzo/core'
import { parse } from '@esfuerzo/core/notation'
import { publish } from '@esfuerzo/core/publication'
import { beginnings } from '@esfuerzo/library'

const { i18n } = await import('../src/words/i18n.ts')
const { library } = await import('../src/repertoire/library.ts')
const { vuetify } = await import('../src/shell/vuetify.ts')

type Answer = [status: number, body: unknown]
/** The server's answers, by method and path; looked up at each call. */
let answers: Record<string, (body: unknown) => Answer>
const calls: string[] = []
vi.stubGlobal('fetch', async (url: string, init: { method: string; body?: string }) => {
  const key = `${init.method} ${url.split('?')[0]}`
  calls.push(key)
  const answer = answers[key]
  if (!answer) throw new TypeError('network')
  const [status, body] = answer(init.body && JSON.parse(init.body))
  return new Response(JSON.stringify(body), { status })
})

let router: Router
function opened(component: Component, props: Record<string, unknown> = {}) {
  const host = defineComponent({ render: () => h(VApp, () => h(component, props)) })
  return mount(host, { global: { plugins: [i18n, vuetify, router] }, attachTo: document.body })
}
const ID = '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'
const summary = (title: string, sentAt: string | null) => ({
  id: ID,
  title,
  minutes: 20,
  groups: [{ letter: 'A', name: 'K–1' }],
  revision: 1,
  updatedAt: new Date().toISOString(),
  sentAt,
  runs: sentAt ? 3 : 0,
})

beforeEach(async () => {
  document.body.innerHTML = ''
  calls.length = 0
  setActivePinia(createPinia())
  const page = { template: '<div />' }
  router = createRouter({
    history: createMemoryHistory(),
    routes: [
      { path: '/', name: 'desk', component: page },
      { path: '/sign-in', name: 'sign-in', component: page },
      { path: '/sessions/:id', name: 'compose', component: page },
      { path: '/sessions/:id/handout', name: 'handout', component: page },
      { path: '/sessions/:id/prompt', name: 'prompt', component: page },
      { path: '/classes/:classId', name: 'class', component: page },
      ...['sign-up', 'forgotten', 'draft', 'terms', 'bin', 'outbox', 'settings'].map((name) => ({
        path: `/${name}`,
        name,
        component: page,
      })),
    ],
  })
  answers = {}
  await router.push('/')
})

describe('signing in', () => {
  const open = async () => opened((await import('../src/signin/SignInPage.vue')).default)
  const fill = async (page: Awaited<ReturnType<typeof open>>) => {
    await page.find('input[type=email]').setValue('a@b.example')
    await page.find('input[type=password]').setValue('secret')
    await page.find('form').trigger('submit')
    await flushPromises()
  }
  const teacher = { id: ID, name: 'A', email: 'a@b.example', zone: 'UTC' }

  it.each([
    ['/sessions/1', '/sessions/1'],
    ['//elsewhere.example', '/'],
    ['https://elsewhere.example', '/'],
    ['', '/'],
  ])('continues to %s only if that is a page of ours', async (next, there) => {
    answers['POST /api/session'] = () => [200, teacher]
    await router.push({ path: '/sign-in', query: { next } })
    await fill(await open())
    expect(router.currentRoute.value.fullPath).toBe(there)
  })

  it('says what is wrong, and keeps what was typed', async () => {
    answers['POST /api/session'] = () => [401, { code: 'wrong-sign-in', detail: '' }]
    const page = await open()
    await fill(page)
    expect(page.find('p[role=alert]').text()).toContain('Wrong e-mail or password')
    expect(page.find<HTMLInputElement>('input[type=email]').element.value).toBe('a@b.example')
    answers = {}
    await fill(page)
    expect(page.find('p[role=alert]').text()).toContain('No connection to the server')
  })
})

describe('a sign-in link', () => {
  it('is followed by a press, and says if it was used before', async () => {
    const page = opened((await import('../src/signin/LinkSignInPage.vue')).default, { token: 'T'.repeat(22) })
    expect(calls).toEqual([])
    answers['POST /api/session/link'] = () => [410, { code: 'ended', detail: '' }]
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(page.find('p[role=alert]').text()).toContain('was already used or has expired')
    await router.push('/settings')
    answers['POST /api/session/link'] = () => [200, { id: ID, name: 'A', email: 'a@b.example' }]
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(router.currentRoute.value.name).toBe('desk')
  })
})

describe('the outbox', () => {
  const message = { id: 'a.eml', to: 'a@b.example', subject: 'Hello', date: '2026-01-01T00:00:00Z', text: 'Words' }
  const open = async () => {
    const page = opened((await import('../src/outbox/OutboxPage.vue')).default)
    await flushPromises()
    return page
  }

  it('asks for its key, says if that does not open it, and keeps it until the browser is closed', async () => {
    sessionStorage.clear()
    answers['GET /api/outbox'] = () => [404, { code: 'not-found', detail: '' }]
    const page = await open()
    expect(calls).toEqual([])
    await page.find('input').setValue('wrong')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(page.find('p[role=alert]').text()).toContain('That key is wrong')
    answers['GET /api/outbox'] = () => [200, { messages: [message] }]
    await page.find('input').setValue(' right ')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(page.find('article h2').text()).toBe('Hello')
    expect(page.find('article a').attributes('href')).toBe('/api/outbox/a.eml?key=right')
    page.unmount()
    const again = await open()
    expect(again.find('article h2').text()).toBe('Hello')
    again.unmount()
  })
})

describe('the Desk', () => {
  const open = async () => {
    const page = opened((await import('../src/desk/DeskPage.vue')).default)
    await flushPromises()
    return page
  }

  it('separates drafts from what was sent home', async () => {
    answers['GET /api/workouts'] = () => [
      200,
      { workouts: [summary('Harbour wall', null), summary('Springs', '2026-01-01T00:00:00Z')] },
    ]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    const page = await open()
    expect(page.find('[aria-labelledby=drafts]').text()).toContain('Harbour wall')
    expect(page.find('[aria-labelledby=sent]').text()).toContain('3 results')
    expect(page.find('[aria-labelledby=back]').text()).toContain('No results yet')
  })

  it('finds among many sessions by typing, says how many are shown, and shows all again', async () => {
    const titles = ['Springs', 'Gusts', 'Tides', 'Reefs', 'Masts', 'Nets', 'Gulls', 'Shells', 'Buoys']
    answers['GET /api/workouts'] = () => [200, { workouts: titles.map((title) => summary(title, null)) }]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    const page = await open()
    await page.find('input[type=search]').setValue('gu')
    expect(page.findAll('[aria-labelledby=drafts] li')).toHaveLength(2)
    expect(page.find('.finder [role=status]').text()).toContain('Shown: 2 of 9.')
    await page.find('.finder button.link').trigger('click')
    expect(page.findAll('[aria-labelledby=drafts] li')).toHaveLength(9)
  })

  it('finds the sessions for either of two classes with the same name', async () => {
    const forGrades = (title: string, grades: number[]) => ({
      ...summary(title, null),
      groups: [{ letter: 'A', name: 'All', grades }],
      builds: [],
    })
    const titles = ['Gusts', 'Tides', 'Reefs', 'Masts', 'Nets', 'Gulls', 'Shells', 'Buoys']
    answers['GET /api/workouts'] = () => [
      200,
      { workouts: [forGrades('Springs', [1]), ...titles.map((title) => forGrades(title, [6]))] },
    ]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    const blueClass = (id: string, grades: number[]) => ({
      id,
      name: 'Blue',
      grades,
      pupils: 0,
      yearEnds: '2027-07-31',
      keepMonths: 0,
      pace: null,
    })
    answers['GET /api/classes'] = () => [
      200,
      { classes: [blueClass(ID.replace('0', '1'), [6]), blueClass(ID, [1])], removed: [] },
    ]
    const page = await open()
    await page.find('.finder button').trigger('click')
    await flushPromises()
    const whom = page.findAllComponents({ name: 'VSelect' }).find((field) => field.props('label') === 'Grade or class')!
    const [, second] = whom.props('items') as { title: string; value: string }[]
    expect(second!.title).toBe('Blue')
    whom.vm.$emit('update:modelValue', second!.value)
    await flushPromises()
    expect(page.findAll('[aria-labelledby=drafts] li')).toHaveLength(1)
    expect(page.find('[aria-labelledby=drafts]').text()).toContain('Springs')
  })

  it('says what to do if there is nothing yet', async () => {
    answers['GET /api/workouts'] = () => [200, { workouts: [] }]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    expect((await open()).text()).toContain('No sessions yet')
  })

  it('says that the server is away, and tries again when told to', async () => {
    const page = await open()
    expect(page.find('p[role=alert]').text()).toContain('No connection to the server')
    answers['GET /api/workouts'] = () => [200, { workouts: [summary('Springs', null)] }]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    await page.find('p[role=alert] button').trigger('click')
    await flushPromises()
    expect(page.find('p[role=alert]').exists()).toBe(false)
    expect(page.text()).toContain('Springs')
  })

  it('puts a session into the trash, and starts a new one from another', async () => {
    answers['GET /api/workouts'] = () => [200, { workouts: [summary('Springs', null)] }]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    answers[`DELETE /api/workouts/${ID}`] = () => [200, {}]
    answers[`GET /api/workouts/${ID}`] = () => [
      200,
      { id: ID, revision: 4, updatedAt: '', document: newSession('Springs', [[1]], 20, 1) },
    ]
    let created = ''
    answers['POST /api/workouts'] = (body) => (
      (created = (body as { document: { title: string } }).document.title),
      [200, { id: 'new', revision: 1, updatedAt: '' }]
    )
    const page = await open()
    await page.find('[aria-label="Start a new session from Springs"]').trigger('click')
    await vi.waitFor(() => expect(router.currentRoute.value.params.id).toBe('new'))
    expect(created).toBe('Springs (again)')
    await page.find('[aria-label="Remove Springs"]').trigger('click')
    await flushPromises()
    expect(calls).toContain(`DELETE /api/workouts/${ID}`)
    expect(page.find('[aria-labelledby=drafts]').exists()).toBe(false)
  })
})

describe('a new session from a starting point', () => {
  it('shows its minutes, keeps typed ones, and uses the field’s value', async () => {
    answers['GET /api/workouts'] = () => [200, { workouts: [] }]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    const made: number[] = []
    answers['POST /api/workouts'] = (body) => (
      made.push((body as { document: { minutes: number } }).document.minutes),
      [200, { id: 'new', revision: 1, updatedAt: '' }]
    )
    const dialog = opened((await import('../src/desk/NewSessionDialog.vue')).default, { modelValue: true })
    await flushPromises()
    const within = new DOMWrapper(document.body)
    const minutes = within.find<HTMLInputElement>('input[inputmode=numeric]')
    const radios = within.findAll<HTMLInputElement>('input[name=beginning]')
    const minutesOf = (id: string) => parse(beginnings.find((b) => b.id === id)!.text, library).workout.minutes
    for (const radio of radios.slice(1, 4)) {
      await radio.setValue()
      expect(minutes.element.value).toBe(`${minutesOf(radio.element.value)}`)
    }
    await radios[0]!.setValue()
    expect(minutes.element.value).toBe('20')
    await minutes.setValue('12')
    await radios[1]!.setValue()
    expect(minutes.element.value).toBe('12')
    await within.find('form').trigger('submit')
    await vi.waitFor(() => expect(made).toEqual([12]))
    dialog.unmount()
  })
})

describe('sending home', () => {
  const session = newSession('Springs', [[0, 1]], 1, library.version)
  const document_ = addStation(session, 'b2', cellsFor(library.moves.get('pogo')!, session.groups, 'intervals'))
  const link = (more = {}) => ({
    id: ID,
    token: 'T'.repeat(22),
    sha256: 'a'.repeat(64),
    createdAt: '2026-01-01T00:00:00Z',
    endsAt: '2099-01-01T00:00:00Z',
    endedAt: null,
    classId: null,
    runs: 2,
    ...more,
  })
  let lastSent: unknown = null
  let classes: object[] = []
  beforeEach(() => {
    lastSent = null
    classes = []
  })
  const open = async (document = document_) => {
    answers[`GET /api/workouts/${ID}`] = () => [200, { id: ID, revision: 7, updatedAt: '', document }]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    answers['GET /api/classes'] = () => [200, { classes }]
    answers[`GET /api/workouts/${ID}/last-sent`] = () => [200, { document: lastSent }]
    const page = opened((await import('../src/handout/HandoutPage.vue')).default, { id: ID })
    await flushPromises()
    return page
  }

  it('says what cannot be sent before anything is sent', async () => {
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [] }]
    const page = await open({ ...document_, sections: [] })
    expect(page.find('.care[role=status]').text()).toContain('The session has no exercises yet.')
    expect(page.find('.make button.main').attributes('disabled')).toBeDefined()
  })

  it('makes a link of exactly the revision that was seen, and ends it', async () => {
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [] }]
    let sent: unknown
    answers[`POST /api/workouts/${ID}/publications`] = (body) => ((sent = body), [200, link()])
    answers[`POST /api/publications/${ID}/end`] = () => [200, link({ endedAt: '2026-01-02T00:00:00Z' })]
    const page = await open()
    // Three laps of a minute in a session of one minute.
    expect(page.find('.lanes b.care').text()).toBe('3:00')
    await page.find('.make button.main').trigger('click')
    await flushPromises()
    expect(sent).toEqual({ revision: 7, days: 14 })
    expect(page.find('a.address').attributes('href')).toMatch(/\/go\/T{22}$/)
    await page
      .findAll('li button')
      .find((b) => b.text() === 'End link…')!
      .trigger('click')
    await page
      .findAll('li button')
      .find((b) => b.text() === 'End link now')!
      .trigger('click')
    await flushPromises()
    expect(page.find('a.address').exists()).toBe(false)
    expect(page.text()).toContain('This link has ended')
  })

  it('says that there is nothing to send yet', async () => {
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [] }]
    answers[`POST /api/workouts/${ID}/publications`] = () => [400, { code: 'invalid', detail: '', problems: [] }]
    const page = await open()
    await page.find('.make button.main').trigger('click')
    await flushPromises()
    expect(page.find('p[role=alert]').text()).toContain('no exercises yet')
  })

  it('shows what has changed since it was last sent, and open findings', async () => {
    lastSent = { ...document_, title: 'Calms' }
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [link()] }]
    const page = await open()
    const text = page.find('[aria-labelledby=hand-link]').text()
    expect(text).toContain('1 change since you last sent it')
    expect(text).toContain('2:00 over the')
    expect(text).toContain('No station asks for a result')
  })

  it('sends to a class, created on the spot', async () => {
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [] }]
    const made = { id: '11111111-1111-4111-8111-111111111111', name: 'Shore class', grades: [0, 1] }
    let asked: unknown
    let sent: unknown
    answers['POST /api/classes'] = (body) => ((asked = body), [200, made])
    answers[`POST /api/workouts/${ID}/publications`] = (body) => ((sent = body), [200, link({ classId: made.id })])
    const page = await open()
    await page
      .findAll('button.link')
      .find((b) => b.text() === 'Add a class')!
      .trigger('click')
    await page.find('form.add input').setValue('Shore class')
    await page.find('form.add').trigger('submit')
    await flushPromises()
    expect(asked).toEqual({ name: 'Shore class', grades: [0, 1] })
    await page.find('.make button.main').trigger('click')
    await flushPromises()
    expect(sent).toMatchObject({ classId: made.id })
    expect(page.find('.links small').text()).toContain('Shore class')
  })

  it('names sheets for the ticked lanes, in a language and on a paper, and none for a form that is not there', async () => {
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [] }]
    const page = await open()
    const paper = page.find('[aria-labelledby=hand-paper]')
    const sheets = paper.findAll('a')
    expect(sheets.map((a) => a.text())).toEqual([
      'Session sheet',
      'Wall poster',
      'Station cards',
      'Results form',
      'Equipment list',
      'Safety rules',
      'Checks (for you)',
    ])
    expect(sheets[0]!.attributes('href')).toBe(
      `/api/workouts/${ID}/sheets/session?lanes=${session.groups[0]!.id}&language=en&paper=a4`,
    )
    await paper.find('input[type=checkbox]').setValue(false)
    expect(paper.findAll('a')).toEqual([])
  })

  it('writes a message to the families with the link in it, and keeps it if it is refused', async () => {
    answers[`GET /api/workouts/${ID}/publications`] = () => [200, { publications: [link()] }]
    const publication = publish(document_, library)
    answers[`GET /snapshots/${link().sha256}`] = () => [200, publication]
    let status = 400
    const sent: unknown[] = []
    answers[`POST /api/publications/${ID}/message`] = (body) => (
      sent.push(body),
      status === 200 ? [200, {}] : [400, { code: 'invalid', detail: '', problems: [] }]
    )
    const page = await open()
    const card = page.find('[aria-labelledby=hand-message]')
    await card.find('input[type=email]').setValue('families@island.example')
    await card.find('form').trigger('submit')
    await flushPromises()
    expect(card.find('p[role=alert]').text()).toContain('Your text is still here')
    status = 200
    await card.find('form').trigger('submit')
    await flushPromises()
    expect(sent[1]).toMatchObject({ to: 'families@island.example', subject: 'PE at home: Springs' })
    const { text } = sent[1] as { text: string }
    expect(text).toMatch(/\/go\/T{22}/)
    expect(text).toContain(`about ${saidMinutes(publication.lanes[0]!.seconds)} minute`)
    expect(card.find('[role=status]').text()).toContain('Sent to families@island.example')
    await card.findAll('.days input')[2]!.setValue(true)
    expect(card.find('a[download]').attributes('href')).toMatch(/calendar\?days=\d{4}-\d\d-\d\d&at=09%3A00$/)
  })
})

describe('the results', () => {
  const panel = async () => opened((await import('../src/runs/RunsPanel.vue')).default, { workoutId: ID })
  const signedOut = {
    type: 'about:blank',
    title: 'Sign in',
    status: 401,
    code: 'sign-in-needed',
    detail: 'Sign in first.',
    problems: [],
  }

  it('say why they cannot be shown, and are shown on another try', async () => {
    answers['GET /api/runs'] = () => [401, signedOut]
    const page = await panel()
    await flushPromises()
    expect(page.find('[role=alert]').text()).toContain('signed out')
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    await page.find('button').trigger('click')
    await flushPromises()
    expect(page.find('[role=alert]').exists()).toBe(false)
    expect(page.text()).toContain(i18n.global.t('runs.none'))
  })

  it('are not called signed out while the server is away', async () => {
    delete answers['GET /api/runs']
    const page = await panel()
    await flushPromises()
    expect(page.find('[role=alert]').text()).toBe(i18n.global.t('errors.offline'))
  })

  it('are counted on the Desk by the sessions, not by the list, which holds only the latest', async () => {
    answers['GET /api/workouts'] = () => [
      200,
      { workouts: [summary('Springs', new Date().toISOString()), summary('Gusts', new Date().toISOString())] },
    ]
    answers['GET /api/runs'] = () => [200, { runs: [], total: 0, next: null }]
    const page = opened((await import('../src/desk/DeskPage.vue')).default)
    await flushPromises()
    expect(page.text()).toContain('Results: 6')
  })
})
