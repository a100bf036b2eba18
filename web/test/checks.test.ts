import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it, vi } from 'vitest'
import { nextTick } from 'vue'
import { newSettings, readSession, setDetails, type Session } from '@esfuerzo/core'
import { checkSession, findingKey, leaveFinding } from '@esfuerzo/core/checks'
import { parse } from '@esfuerzo/core/notation'
import WorthALook from '../src/compose/checks/WorthALook.vue'
import { useSession } from '../src/compose/session/useSession.ts'
import { isStopped, sendingLooks } from '../src/handout/sendingLooks.ts'
import { library } from '../src/repertoire/library.ts'
import CheckPolicies from '../src/settings/CheckPolicies.vue'
import { useComposer } from './support/composer.ts'
import { open, serve } from './support/pages.ts'

const id = '7a4c2f0e-5f0e-4a57-9f6b-6d1f3a1c9b11'
const read = (text: string): Session => {
  const { workout: session, problems } = parse(text, library)
  expect(problems).toEqual([])
  return readSession(session)
}
/** Two findings: a plank that is too long, and a jump upstairs. */
const session = read(`# Rainy morning
minutes 5; groups 4-6; space mat; quiet
## Warm-up
march on the spot 2 min
## Main (main)
plank 70 s
pencil jump 5
## Cool-down
child's pose 20 s
`)
beforeEach(() => {
  setActivePinia(createPinia())
  serve({ 'GET /api/settings': () => newSettings('Atlantic/Azores') })
})
/** A session's findings, once it has stopped changing and the search for fixes is done. */
async function looking(document: Session) {
  const composer = useComposer()
  composer.edit(() => document)
  const view = await open(WorthALook)
  await vi.waitFor(() => expect(view.view.findAll('.fixes').length).toBeGreaterThan(0), 4000)
  return { composer, ...view }
}

it('a finding says what, why and how to fix it; the fix resolves it and is one undo step', async () => {
  const { composer, press, words } = await looking(session)
  expect(words()).toContain('Plank is held for 1:10. Good form lasts about 1:00.')
  await press(/^Change to 60 s/)
  await vi.waitFor(() => expect(words()).not.toContain('Plank is held'), 4000)
  expect(words()).toContain('Neighbors below will hear Pencil jump.')
  composer.undo()
  await vi.waitFor(() => expect(words()).toContain('Plank is held'), 4000)
})

it('an edit made before she went on typing cannot be applied: it would undo her work', async () => {
  const { composer, view } = await looking(session)
  composer.edit((now) => setDetails(now, { title: 'Rainy noon' }))
  await nextTick()
  const fixes = view.findAll('.fixes button')
  expect(fixes.length).toBeGreaterThan(0)
  for (const fix of fixes) expect(fix.attributes('disabled')).toBeDefined()
  await vi.waitFor(() => expect(view.find('.fixes button').attributes('disabled')).toBeUndefined(), 4000)
  await view.find('.fixes button').trigger('click')
  expect(composer.document.title).toBe('Rainy noon')
})

it('without a row there are no findings, and no praise', async () => {
  const { words } = await open(WorthALook)
  expect(words()).toContain('There is nothing to check yet.')
})

it('a rule the school switched off is silent, another weight applies; a fix is not lowered', () => {
  const policies = { 'long-hold': 'off', 'thud-where-quiet': 'note', 'stairs-jump': 'off' } as const
  const said = checkSession(session, library, { policies })
  expect(said.some((f) => f.rule === 'long-hold')).toBe(false)
  expect(said.find((f) => f.rule === 'thud-where-quiet')?.level).toBe('note')
  const stairs = { ...session, aim: { ...session.aim, target: 'Jump off the sofa.' } }
  expect(checkSession(stairs, library, { policies })[0]).toMatchObject({ rule: 'stairs-jump', level: 'stop' })
})

it('a session already sent opens without warnings: earlier findings are behind one line, new ones are shown', async () => {
  serve({
    'GET /api/settings': () => newSettings('Atlantic/Azores'),
    [`GET /api/workouts/${id}`]: () => ({ document: session, revision: 1 }),
    [`GET /api/workouts/${id}/last-sent`]: () => ({ document: session }),
    'GET /api/own-moves': () => ({ moves: [] }),
    'GET /api/used-moves': () => ({ used: [] }),
  })
  await useSession().open(id)
  const { words } = await open(WorthALook)
  await vi.waitFor(() => expect(words()).toMatch(/Before it was sent home \(\d\)/), 4000)
  expect(words()).toContain('All checks are fine. You can send it home.')
  useComposer().edit((now) => setDetails(now, { minutes: 1 }))
  await vi.waitFor(() => expect(words()).toContain('over the planned 1 minutes'), 4000)
  expect(words()).not.toContain('All checks are fine.')
})

it('when sending home a fix blocks it until fixed or ignored; advice is listed', () => {
  const stairs = setDetails(session, { aim: { target: 'Jump off the sofa.' } })
  const looks = sendingLooks(stairs, library)
  expect(looks.filter(isStopped)).toHaveLength(1)
  const [stop] = checkSession(stairs, library)
  const answered = leaveFinding(stairs, { finding: findingKey(stop!), reason: 'a gym mat lies there' })
  expect(sendingLooks(answered, library).filter(isStopped)).toEqual([])
  // Its subject changes, so the answer no longer holds.
  const more = setDetails(answered, { aim: { target: 'Jump off the table.' } })
  expect(sendingLooks(more, library).filter(isStopped)).toHaveLength(1)
})

it('in the settings a check with another weight shows the default, and can be reset', async () => {
  const changes: unknown[] = []
  const { words, press } = await open(CheckPolicies, {
    modelValue: { 'no-water': 'off', 'a-rule-of-old': 'note' },
    'onUpdate:modelValue': (now: unknown) => changes.push(now),
  })
  expect(words()).toContain('Standard weight: Tip. Offer a drink about every 20 minutes')
  await press('Reset No water break')
  expect(changes).toEqual([{ 'a-rule-of-old': 'note' }])
})
