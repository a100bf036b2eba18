// Empty Desk: these journeys need nothing of the demo.
import type { Page } from '@playwright/test'
import { teacherOf } from './support/teacher.ts'
import { at, expect, expectAccessible, newSession, openDesk, test } from './support/journey.ts'

const newPassword = 'gannets over the bay'

/** Opens the link to choose a password in the latest message with that subject, once it has arrived. */
async function follow(page: Page, subject: string, to: string): Promise<void> {
  await page.goto(at(`/outbox?key=${process.env.OUTBOX_KEY}`))
  const letter = page
    .getByRole('article')
    .filter({ hasText: subject })
    .filter({ hasText: `to ${to}` })
    .first()
  await letter.getByRole('link', { name: /\/password\// }).click()
  await expect(page.getByRole('heading', { name: 'Choose a password' })).toBeVisible()
}

test('a newcomer signs up by message, settles in, forgets her password, exports everything and deletes her account', async ({
  page,
}) => {
  await page.goto(at('/sign-in'))
  await page.getByRole('link', { name: 'New here?' }).click()
  await expectAccessible(page)
  await page.getByLabel('Your name').fill('Inês')
  await page.getByLabel('E-mail').fill('ines@island.example')
  await page.getByRole('button', { name: 'Send message' }).click()
  await expect(page.getByText('We sent a message to ines@island.example')).toBeVisible()
  await follow(page, 'Your Esfuerzo account', 'ines@island.example')
  await expectAccessible(page)
  await page.getByLabel(/New password/).fill('short')
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByRole('alert')).toContainText('at least 10 characters')
  await page.getByLabel(/New password/).fill('a first password')
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Welcome back, Inês' })).toBeVisible()
  await expect(page.getByRole('heading', { name: 'No sessions yet' })).toBeVisible()

  // The school's own names for its grades appear wherever a grade is named.
  await page.getByRole('link', { name: 'Settings' }).click()
  await page.getByLabel('Kindergarten').fill('R')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Save' }).click()
  await expect(page.getByText('Saved.')).toBeVisible()
  await page.getByRole('link', { name: 'Desk' }).click()
  await newSession(page, 'First steps')
  await expect(page.getByRole('columnheader', { name: /R–1/ })).toBeVisible()
  await expect(page.getByTestId('save-mark')).toHaveText('saved')

  await page.getByRole('button', { name: 'Sign out' }).click()
  await page.getByRole('link', { name: 'Forgot your password?' }).click()
  await expectAccessible(page)
  await page.getByLabel('E-mail').fill('ines@island.example')
  await page.getByRole('button', { name: 'Send link' }).click()
  await expect(page.getByText('If ines@island.example has an account')).toBeVisible()
  await follow(page, 'Set a new Esfuerzo password', 'ines@island.example')
  const used = page.url()
  await page.getByLabel(/New password/).fill(newPassword)
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByRole('link', { name: /First steps/ })).toBeVisible()
  await page.goto(used)
  await page.getByLabel(/New password/).fill(newPassword)
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByRole('alert')).toContainText('was already used')

  await page.goto(at('/account'))
  const download = page.waitForEvent('download')
  await page.getByRole('link', { name: 'Download zip' }).click()
  expect((await download).suggestedFilename()).toMatch(/^esfuerzo-\d{4}-\d\d-\d\d\.zip$/)
  await page.getByRole('button', { name: 'Delete account…' }).click()
  await page.getByLabel('Password', { exact: true }).fill('wrong')
  await page.getByRole('button', { name: 'Delete account permanently' }).click()
  await expect(page.getByRole('alert')).toContainText('Nothing was changed')
  await page.getByLabel('Password', { exact: true }).fill(newPassword)
  await page.getByRole('button', { name: 'Delete account permanently' }).click()
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await page.getByLabel('E-mail').fill('ines@island.example')
  await page.getByLabel('Password').fill(newPassword)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('alert')).toContainText('Wrong e-mail or password')
})

test('@verify a teacher changes her password, and signs out everywhere', async ({ page, browser }) => {
  // An account of her own: signing out everywhere would also sign the demo's teacher out of the other journeys.
  const [email, secret] = ['rui@island.example', 'over the breakwater']
  await page.goto(at('/sign-up'))
  await page.getByLabel('Your name').fill('Rui')
  await page.getByLabel('E-mail').fill(email)
  await page.getByRole('button', { name: 'Send message' }).click()
  await expect(page.getByText(`A message is on its way to ${email}`)).toBeVisible()
  await follow(page, 'Your Esfuerzo account', email)
  await page.getByLabel(/New password/).fill(secret)
  await page.getByRole('button', { name: 'Save and sign in' }).click()
  await expect(page.getByRole('heading', { name: 'Welcome back, Rui' })).toBeVisible()

  const tablet = await (await browser.newContext()).newPage()
  await tablet.goto(at('/sign-in'))
  await tablet.getByLabel('E-mail').fill(email)
  await tablet.getByLabel('Password').fill(secret)
  await tablet.getByRole('button', { name: 'Sign in' }).click()
  await expect(tablet.getByRole('heading', { name: 'Welcome back, Rui' })).toBeVisible()
  await page.getByRole('link', { name: 'Settings' }).click()
  await page.getByRole('link', { name: 'Account' }).click()
  await expectAccessible(page)
  const change = page.locator('form').filter({ hasText: 'Change password' })
  const fill = async (current: string, next: string) => {
    await change.getByLabel('Current password').fill(current)
    await change.getByLabel(/New password/).fill(next)
    await change.getByRole('button', { name: 'Change password' }).click()
  }
  await fill('wrong', 'long enough for anybody')
  await expect(page.getByRole('alert')).toContainText('Nothing was changed')
  await fill(secret, 'short')
  await expect(page.getByRole('alert')).toContainText('at least 10 characters')
  await fill(secret, 'another good one')
  await expect(page.getByRole('alert')).toContainText('All other devices are signed out')
  await tablet.goto(at('/'))
  await expect(tablet.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await tablet.context().close()
})

test('a session is removed, found in the trash, and restored; a copy goes to a colleague', async ({
  page,
  browser,
}) => {
  await openDesk(page)
  await newSession(page, 'Off to the bin')
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await page.getByRole('button', { name: 'Send home' }).click()
  await page.getByLabel(/Colleague's e-mail/).fill('colleague@island.example')
  await page.getByRole('button', { name: 'Send copy' }).click()
  await expect(page.getByText('Sent to colleague@island.example')).toBeVisible()
  const link = await page.locator('span.address').innerText()
  await page.getByRole('link', { name: 'Desk' }).click()
  await page.getByRole('button', { name: 'Remove Off to the bin' }).click()
  await page.getByRole('link', { name: 'Trash', exact: true }).click()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Restore Off to the bin' }).click()
  await expect(page.getByText('The trash is empty.')).toBeVisible()

  const other = await (await browser.newContext()).newPage()
  await other.goto(link)
  await other.getByLabel('E-mail').fill(teacherOf(test.info().file))
  await other.getByLabel('Password').fill('ferry-on-monday')
  await other.getByRole('button', { name: 'Sign in' }).click()
  await expect(other.getByText('from Marisol')).toBeVisible()
  await expectAccessible(other)
  await other.getByRole('button', { name: 'Add to my sessions' }).click()
  await expect(other.getByRole('grid')).toBeVisible()
  await other.context().close()
})
