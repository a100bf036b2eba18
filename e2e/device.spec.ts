import type { BrowserContext, Page } from '@playwright/test'
import { at, expect, openDesk, signIn, test } from './support/journey.ts'
import { password, teacherOf } from './support/teacher.ts'

/** What a device keeps, in a real browser: two kinds of pages in one profile, closed tabs, a shared device. */
test.describe.configure({ timeout: 120_000 })

/** A class with pupils and a session sent home, by the interface's own requests. */
async function aClass(page: Page, name: string, aliases: string[]) {
  const call = (method: string, path: string, data?: object) =>
    page.request
      .fetch(at(path), { method, ...(data && { data }), headers: { Origin: at('') } })
      .then(async (r) => (await r.json()) as never)
  const { id: classId } = (await call('POST', '/api/classes', { name, grades: [4, 5, 6] })) as { id: string }
  const { pupils } = (await call('POST', `/api/classes/${classId}/pupils`, { aliases })) as {
    pupils: { id: string; alias: string }[]
  }
  const { sessions } = (await call('GET', `/api/classes/${classId}/sessions`)) as {
    sessions: { id: string; title: string; workoutId: string }[]
  }
  const session = sessions.find((s) => s.title.startsWith('Ten gannets'))!
  const { publications } = (await call('GET', `/api/workouts/${session.workoutId}/publications`)) as {
    publications: { token: string }[]
  }
  return { classId, pupils, session, link: at(`/go/${publications[0]!.token}`), call }
}
type Class = Awaited<ReturnType<typeof aClass>>

const book = ({ classId, session }: Class) => at(`/classes/${classId}?session=${session.id}`)
async function openBook(page: Page, schoolClass: Class) {
  await page.goto(book(schoolClass))
  await expect(page.getByRole('grid')).toBeVisible()
}
const cell = (page: Page, alias: string, name = /Jumping jack, lap 1/) =>
  page.getByRole('row').filter({ hasText: alias }).getByRole('gridcell', { name })
async function type(page: Page, alias: string, text: string) {
  await cell(page, alias).click()
  await page.keyboard.type(text)
  await page.keyboard.press('Enter')
}
/** Disconnects the server, or reconnects it. */
const cut = (context: BrowserContext) => context.route('**/api/**', (route) => route.abort())
const mend = (context: BrowserContext) => context.unroute('**/api/**')
/** Keys in one database of the device; empty if it does not exist. */
const kept = (page: Page, database: string, store: string) =>
  page.evaluate(
    ([name, schoolClass]) =>
      new Promise<string[]>((resolve) => {
        const asked = indexedDB.open(name!)
        asked.onupgradeneeded = () => asked.transaction!.abort()
        asked.onerror = () => resolve([])
        asked.onsuccess = () => {
          const db = asked.result
          if (!db.objectStoreNames.contains(schoolClass!)) return resolve([])
          const keys = db.transaction(schoolClass!).objectStore(schoolClass!).getAllKeys()
          keys.onsuccess = () => {
            db.close()
            resolve(keys.result.map(String))
          }
        }
      }),
    [database, store] as const,
  )
/** What a previous release stored, in the one database that both pages opened. */
const keepAsBefore = (page: Page, store: string, key: string, value: unknown) =>
  page.evaluate(
    ([schoolClass, at, what]) =>
      new Promise<void>((resolve) => {
        const asked = indexedDB.open('esfuerzo-book')
        asked.onupgradeneeded = () => asked.result.createObjectStore(schoolClass as string)
        asked.onsuccess = () => {
          const db = asked.result
          const writing = db.transaction(schoolClass as string, 'readwrite')
          writing.objectStore(schoolClass as string).put(what, at as string)
          writing.oncomplete = () => {
            db.close()
            resolve()
          }
        }
      }),
    [store, key, value] as const,
  )
/** A child runs a little and sends, so that it has a book. */
async function runAsChild(page: Page, link: string) {
  await page.goto(`${link}?speed=60`)
  await page.getByRole('button', { name: /Grades 4–6/ }).click()
  await page.getByTestId('digits').waitFor()
  for (let i = 0; i < 3; i++) await page.getByRole('button', { name: 'Skip' }).click()
  await page.getByRole('button', { name: 'Stop' }).click()
  await page.getByRole('textbox', { name: /Jumping jack, lap 1/ }).fill('21')
  await page.getByRole('button', { name: 'Send to my teacher' }).click()
  await expect(page.getByRole('heading', { name: 'Sent' })).toBeVisible()
}

test('class book and child’s book in one profile each keep their own data, in either order', async ({ page }) => {
  await openDesk(page)
  const schoolClass = await aClass(page, 'Class 5 · Device', ['Tern 4', 'Plover 61'])
  // The class book first.
  await openBook(page, schoolClass)
  await cut(page.context())
  await type(page, 'Tern 4', '18')
  await expect.poll(() => kept(page, 'esfuerzo-class-book', 'cells')).toHaveLength(1)
  await mend(page.context())
  await runAsChild(page, schoolClass.link)
  await expect.poll(() => kept(page, 'esfuerzo-child-book', 'books')).toHaveLength(1)
  await openBook(page, schoolClass)
  await expect(cell(page, 'Tern 4', /Jumping jack, lap 1.*, 18, typed in/)).toBeVisible()
  await expect.poll(() => kept(page, 'esfuerzo-class-book', 'cells')).toHaveLength(0)
  // The child's book already exists; the class book stores its data all the same.
  await cut(page.context())
  await type(page, 'Plover 61', '16')
  await expect.poll(() => kept(page, 'esfuerzo-class-book', 'cells')).toHaveLength(1)
  await mend(page.context())
})

test('@verify data of a previous release in the shared database is found again, and the old database is gone', async ({
  page,
}) => {
  await openDesk(page)
  const schoolClass = await aClass(page, 'Class 5 · Before', ['Tern 4'])
  const pupil = schoolClass.pupils[0]!.id
  const { columns } = (await schoolClass.call(
    'GET',
    `/api/classes/${schoolClass.classId}/results/${schoolClass.session.id}`,
  )) as {
    columns: { key: string; name: string }[]
  }
  const column = columns[0]!.key
  const typed = { id: crypto.randomUUID(), pupil, column, text: '17', source: 'typed', was: null, state: 'waiting' }
  await keepAsBefore(page, 'cells', `${schoolClass.classId}/${schoolClass.session.id}`, [[`${pupil} ${column}`, typed]])
  await openBook(page, schoolClass)
  await expect(cell(page, 'Tern 4', /, 17, typed in/)).toBeVisible()
  const databases = () => page.evaluate(async () => (await indexedDB.databases()).map((d) => d.name))
  await expect.poll(databases).not.toContain('esfuerzo-book')

  const entry = { title: 'Old session', at: '2026-11-01T10:00:00.000Z', lines: [], words: [] }
  await keepAsBefore(page, 'book', '', { entries: [entry], moved: {} })
  await page.goto(`${schoolClass.link}`)
  await page.goto(at('/go/book'))
  await expect(page.getByText('Old session').first()).toBeVisible()
  await expect.poll(databases).not.toContain('esfuerzo-book')
})

test('@verify a pupil removed elsewhere: everything else is saved, and the value is reassigned or discarded', async ({
  page,
}) => {
  await openDesk(page)
  const schoolClass = await aClass(page, 'Class 5 · Removed', ['Tern 4', 'Plover 61', 'Kelp 7'])
  await openBook(page, schoolClass)
  const tern = schoolClass.pupils.find((p) => p.alias === 'Tern 4')!.id
  await cut(page.context())
  await type(page, 'Tern 4', '18')
  await type(page, 'Plover 61', '16')
  await mend(page.context())
  // The pupil is removed elsewhere; this page does not know.
  await schoolClass.call('DELETE', `/api/pupils/${tern}`)
  await expect(cell(page, 'Plover 61', /Jumping jack, lap 1.*, 16, typed in/)).toBeVisible()
  await expect(page.getByText(/18.*no longer in this class/)).toBeVisible()
  await page.reload()
  await expect(page.getByText(/18.*no longer in this class/)).toBeVisible()
  await page.getByRole('button', { name: 'Give to another pupil' }).click()
  await page.getByText('Kelp 7’s').click()
  await expect(cell(page, 'Kelp 7', /Jumping jack, lap 1.*, 18, typed in/)).toBeVisible()
  await expect(page.getByText(/no longer in this class/)).toHaveCount(0)
  await expect.poll(() => kept(page, 'esfuerzo-class-book', 'cells')).toHaveLength(0)
})

test('@verify two tabs type offline, both are closed and opened again: the later is on screen, the other is offered', async ({
  page,
  context,
}) => {
  await openDesk(page)
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  await page.getByLabel('Session name').fill('Two tabs')
  await page.getByRole('button', { name: 'Create session', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'Two tabs' })).toBeVisible()
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  const address = page.url()
  const tabs = [await context.newPage(), await context.newPage()]
  for (const tab of tabs) {
    await tab.goto(address)
    await expect(tab.getByRole('grid')).toBeVisible()
  }
  await cut(context)
  for (const [tab, move] of [
    [tabs[0]!, 'squat'],
    [tabs[1]!, 'plank'],
  ] as const) {
    await tab.getByRole('tab', { name: 'Exercises' }).click()
    await tab.getByRole('combobox', { name: 'Find an exercise' }).fill(move)
    await tab.getByRole('combobox', { name: 'Find an exercise' }).press('Enter')
    await expect(tab.getByTestId('save-mark')).toContainText('kept on this device')
  }
  await expect.poll(() => kept(page, 'esfuerzo-drafts', 'drafts')).toHaveLength(2)
  for (const tab of tabs) await tab.close()
  await mend(context)
  await page.goto(address)
  await expect(page.getByRole('row', { name: 'Plank' })).toBeVisible()
  const offered = page.getByRole('dialog', { name: 'Unsaved work from other tabs' })
  await expect(offered).toBeVisible()
  await offered.getByRole('button', { name: 'Keep as a copy' }).click()
  await expect(offered).toBeHidden()
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await expect.poll(() => kept(page, 'esfuerzo-drafts', 'drafts')).toHaveLength(0)
  await page.goto(at('/'))
  await page
    .getByRole('link', { name: /Two tabs \(my copy\)/ })
    .first()
    .click()
  await expect(page.getByRole('row', { name: 'Squat' })).toBeVisible()
})

test('a shared device keeps nothing, and nothing is deleted without asking', async ({ page }) => {
  await openDesk(page)
  const schoolClass = await aClass(page, 'Class 5 · Shared', ['Tern 4'])
  await openBook(page, schoolClass)
  await cut(page.context())
  await type(page, 'Tern 4', '18')
  await expect.poll(() => kept(page, 'esfuerzo-class-book', 'cells')).toHaveLength(1)
  const signOut = page.getByRole('button', { name: 'Sign out' })
  await signOut.click()
  const asked = page.getByRole('dialog', { name: "Some work isn't saved yet" })
  await expect(asked).toBeVisible()
  await expect(asked.getByText('1 result')).toBeVisible()
  await expect(asked.getByRole('link', { name: /Class 5 · Shared/ })).toBeVisible()
  await asked.getByRole('button', { name: 'Stay signed in' }).click()
  await expect(asked).toBeHidden()
  await expect.poll(() => kept(page, 'esfuerzo-class-book', 'cells')).toHaveLength(1)

  // Signing out waits until everything has been sent.
  await signOut.click()
  await expect(asked.getByText("We'll sign you out as soon as everything is saved")).toBeVisible()
  await mend(page.context())
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  const left = async () => [
    ...(await kept(page, 'esfuerzo-class-book', 'cells')),
    ...(await kept(page, 'esfuerzo-drafts', 'drafts')),
  ]
  await expect.poll(left).toEqual([])

  await signIn(page)
  await openBook(page, schoolClass)
  await expect(cell(page, 'Tern 4', /Jumping jack, lap 1.*, 18, typed in/)).toBeVisible()
  await page
    .context()
    .route('**/results/**', (route) => (route.request().method() === 'PUT' ? route.abort() : route.continue()))
  await type(page, 'Tern 4', '19')
  await signOut.click()
  const download = page.waitForEvent('download')
  await asked.getByRole('button', { name: 'Download and sign out' }).click()
  const text = await (await download).createReadStream().then(async (stream) => {
    const chunks: Buffer[] = []
    for await (const chunk of stream) chunks.push(chunk as Buffer)
    return Buffer.concat(chunks).toString()
  })
  expect(JSON.parse(text)).toMatchObject({ unsent: [{ kind: 'results', kept: [{ text: '19' }] }] })
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await expect.poll(left).toEqual([])

  // Her own device does not ask, and keeps unsent work until she is back.
  await page.getByLabel('E-mail').fill(teacherOf(test.info().file))
  await page.getByLabel('Password').fill(password)
  await page.getByLabel('This is my own device').check()
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: /Welcome back/ })).toBeVisible()
  await openBook(page, schoolClass)
  await type(page, 'Tern 4', '20')
  await expect.poll(left).toHaveLength(1)
  await signOut.click()
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  expect(await left()).toHaveLength(1)
})
