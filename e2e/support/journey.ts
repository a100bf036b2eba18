import { expect, test as base, type Page } from '@playwright/test'
import { patience } from '../../scripts/patience.mjs'
import { axeFinds } from './axe.ts'
import { password, teacherOf } from './teacher.ts'

/** A test whose pages may not log an error or throw, and which gets more time on a busy machine, whatever timeout it sets. */
export const test = base.extend<{ watched: void; patient: void }>({
  patient: [
    async ({}, use, info) => {
      // The configured timeout is already multiplied; one that a journey sets itself is not.
      const asked = info.timeout < 120_000 * patience ? info.timeout * patience : info.timeout
      if (patience > 1) info.setTimeout(Math.max(asked, 180_000 * patience))
      await use()
    },
    { auto: true },
  ],
  watched: [
    async ({ page }, use) => {
      const problems: string[] = []
      page.on('pageerror', (error) => problems.push(error.message))
      page.on('console', (message) => {
        // The browser itself logs a refused or failed request; the page's own message about it is what counts.
        if (message.type() === 'error' && !/Failed to load resource/.test(message.text())) problems.push(message.text())
      })
      await use()
      expect(problems).toEqual([])
    },
    { auto: true },
  ],
})
export { expect }

export const at = (path: string) => `${process.env.ESFUERZO_URL}${path}`

/** The cookie of this file's teacher, signed in once. */
const cookies = new Map<string, Promise<string>>()
export function teacherCookie(): Promise<string> {
  const email = teacherOf(test.info().file)
  const known = cookies.get(email) ?? signedIn(email)
  cookies.set(email, known)
  return known
}
async function signedIn(email: string): Promise<string> {
  const answer = await fetch(at('/api/session'), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json', Origin: at('') },
    body: JSON.stringify({ email, password }),
  })
  if (!answer.ok) throw new Error(`signedIn: the sign-in of ${email} was answered with ${answer.status}`)
  return answer.headers
    .getSetCookie()
    .map((one) => one.split(';')[0]!)
    .find((one) => one.startsWith('esfuerzo='))!
}

/** Opens the Desk as this file's teacher, already signed in. */
export async function openDesk(page: Page): Promise<void> {
  const [name = '', value = ''] = (await teacherCookie()).split('=')
  await page.context().addCookies([{ name, value, url: at('/') }])
  await page.goto(at('/'))
  await expect(page.getByRole('heading', { name: /Welcome back/ })).toBeVisible()
}

/** Signs in as a teacher does: this file's teacher, or the demo's on a stack of its own. */
export async function signIn(page: Page, base?: string): Promise<void> {
  await page.goto(`${base ?? at('')}/`)
  await page.getByLabel('E-mail').fill(base ? 'marisol@island.example' : teacherOf(test.info().file))
  await page.getByLabel('Password').fill(password)
  await page.getByRole('button', { name: 'Sign in' }).click()
  await expect(page.getByRole('heading', { name: /Welcome back/ })).toBeVisible()
}

/** Starts a new session for K–1, 2–3 and 4–6. */
export async function newSession(page: Page, title: string, minutes = 20): Promise<void> {
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  await page.getByLabel('Session name').fill(title)
  await page.getByRole('textbox', { name: 'Minutes' }).fill(String(minutes))
  await page.getByRole('button', { name: 'Create session', exact: true }).click()
  await expect(page.getByRole('heading', { name: title })).toBeVisible()
}

/** Pastes a plan onto the Desk and makes a session of it. */
export async function beginFromText(page: Page, text: string): Promise<void> {
  await page.context().grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.evaluate((words) => navigator.clipboard.writeText(words), text)
  await page.locator('h1').click()
  await page.keyboard.press('Control+v')
  await page.getByRole('dialog', { name: 'Paste a plan' }).getByRole('button', { name: 'Create session' }).click()
}

/** Finds an exercise and inserts it below the cursor. */
export async function addMove(page: Page, typed: string): Promise<void> {
  await page.getByRole('tab', { name: 'Exercises' }).click()
  await page.getByRole('combobox', { name: 'Find an exercise' }).fill(typed)
  await page.getByRole('combobox', { name: 'Find an exercise' }).press('Enter')
}

/** Presses "done" whenever a lane waits for the child, until the session is over. */
export async function playToEnd(page: Page, timeout = 60_000 * patience): Promise<void> {
  const over = page.getByRole('heading', { name: 'Done!', exact: true })
  await expect(async () => {
    await page.keyboard.press('Enter')
    expect(await over.isVisible()).toBe(true)
  }).toPass({ timeout, intervals: [20] })
}

/** The total next to a lane. */
export const laneTotal = (page: Page, letter: string) => page.locator(`[data-lane="${letter}"] b`)

/**
 * No violations of any axe rule, including best practices.
 *
 * @param rules only these, if the rest is checked elsewhere
 * @param within only this part of the page, if the rest was checked before
 */
export async function expectAccessible(page: Page, rules?: string[], within?: string): Promise<void> {
  // A view that is still loading has no main landmark yet.
  await page.locator('main, [role=main]').first().waitFor()
  expect(await axeFinds(page, rules, process.env.VERIFY ? undefined : within)).toEqual([])
}

/** Nothing is wider than the page, and no text is cut off by its box. */
export async function expectNothingCut(page: Page): Promise<void> {
  const cut = await page.evaluate(() => {
    const seen = (e: Element) => {
      const box = e.getBoundingClientRect()
      return box.width > 1 && box.height > 1 && getComputedStyle(e).visibility !== 'hidden'
    }
    const wide = document.documentElement.scrollWidth > innerWidth + 1 ? ['the page is wider than the window'] : []
    const clipped = [...document.querySelectorAll('body *')].filter((e) => {
      if (!seen(e) || e.closest('svg, .out-of-sight') || !e.textContent?.trim()) return false
      const { overflowX, overflowY } = getComputedStyle(e)
      const hides = (o: string) => o === 'hidden' || o === 'clip'
      return (
        (hides(overflowX) && e.scrollWidth > e.clientWidth + 2) ||
        (hides(overflowY) && e.scrollHeight > e.clientHeight + 3)
      )
    })
    return [...wide, ...clipped.map((e) => e.outerHTML.slice(0, 120))]
  })
  expect(cut).toEqual([])
}
