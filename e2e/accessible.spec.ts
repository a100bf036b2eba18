import type { Page } from '@playwright/test'
import { at, expect, expectAccessible, expectNothingCut, openDesk, test } from './support/journey.ts'

// None of them changes anything.
test.describe.configure({ mode: 'parallel', timeout: 300_000 })

/** How much a page has moved since it was opened, by https://wicg.github.io/layout-instability (from memory): 0 where nothing did. */
const layoutShift = (page: Page) =>
  page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        let sum = 0
        new PerformanceObserver((list) => {
          for (const entry of list.getEntries()) sum += (entry as PerformanceEntry & { value: number }).value
        }).observe({ type: 'layout-shift', buffered: true })
        setTimeout(() => resolve(sum), 500)
      }),
  )

test('no teacher view has an accessibility violation', async ({ page }) => {
  await page.goto(at('/sign-in'))
  await expect(page.getByRole('button', { name: 'Sign in' })).toBeVisible()
  await expectAccessible(page)
  await openDesk(page)
  await expect(page.getByRole('heading', { name: 'Sent home' })).toBeVisible()
  // What is about to be pressed has not moved: all of the Desk came at once.
  expect(await layoutShift(page)).toBeLessThan(0.01)
  await expectAccessible(page)
  await page.getByRole('button', { name: 'New session', exact: true }).click()
  await expectAccessible(page, undefined, '.v-overlay-container')
  await page.getByRole('button', { name: 'Cancel' }).click()

  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Storm-day springs/ })
    .click()
  await expect(page.getByRole('grid')).toBeVisible()
  await expectAccessible(page)
  await page.getByText('Bounce; your toes stay down').first().click()
  await expect(page.getByRole('radio', { name: /Heel bounces/ })).toBeVisible()
  await expectAccessible(page, undefined, 'aside')
  await page.getByText('Springs', { exact: true }).click()
  await expectAccessible(page, undefined, 'aside')
  await page.getByRole('tab', { name: 'Results' }).click()
  await expect(page.getByRole('tabpanel').getByRole('listitem').first()).toBeVisible()
  await expectAccessible(page, undefined, 'aside')
  await page.getByRole('tab', { name: 'Saved' }).click()
  await expect(page.getByRole('button', { name: 'Add another session' })).toBeVisible()
  await expectAccessible(page, undefined, 'aside')
  await page.getByRole('gridcell', { name: 'Springs', exact: true }).click()
  await page.keyboard.press('Enter')
  await page.getByRole('combobox', { name: 'Add exercises below' }).fill('pla')
  await expectAccessible(page, undefined, '[role=grid]')
  await page.keyboard.press('Escape')
  await page.getByRole('button', { name: 'Earlier versions' }).click()
  await expect(page.getByText('No changes since then.')).toBeVisible()
  await expectAccessible(page, undefined, '.v-overlay-container')
  await page.getByRole('button', { name: 'Close', exact: true }).click()
  await page.getByRole('button', { name: 'Goals, groups, home' }).click()
  await expectAccessible(page, undefined, '.v-overlay-container')
  await page.getByRole('button', { name: 'Done' }).click()

  await page.getByRole('button', { name: 'Send home' }).click()
  await expect(page.locator('a.address')).toBeVisible()
  await page.getByRole('button', { name: 'QR code' }).click()
  await expectAccessible(page)
  await page.getByRole('link', { name: 'Script to read out' }).click()
  await page.getByRole('button', { name: 'Next line' }).click()
  await expectAccessible(page)
  await page.goto(at('/nothing/here'))
  await expectAccessible(page)
})

test('no family view has an accessibility violation, on a phone', async ({ page }) => {
  await openDesk(page)
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('listitem')
    .filter({ hasText: 'Ten gannets' })
    .getByRole('link', { name: /\d results?$/ })
    .click()
  const href = (await page.locator('a.address').getAttribute('href'))!
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(href)
  await expect(page.getByRole('heading', { name: 'Stay safe' })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: /K–1/ }).click()
  await expect(page.getByTestId('digits')).toBeVisible()
  await expectAccessible(page)
  for (let i = 0; i < 4; i++) await page.getByRole('button', { name: 'Skip' }).click()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('heading', { name: 'How hard did it feel?' })).toBeVisible()
  await expectAccessible(page)
  await page.goto(at('/go/AAAAAAAAAAAAAAAAAAAAAA'))
  await expect(page.getByRole('heading', { name: "This link doesn't work" })).toBeVisible()
  await expectAccessible(page)
  await page.goto(at('/go/'))
  await expectAccessible(page)
})

/** Only what the dark scheme changes. The rest is the same as by day. */
const colours = ['color-contrast', 'link-in-text-block']

test('@verify no view has an accessibility violation in the dark scheme', async ({ page }) => {
  await page.emulateMedia({ colorScheme: 'dark' })
  await openDesk(page)
  await expect(page.getByRole('heading', { name: 'Sent home' })).toBeVisible()
  await expectAccessible(page, colours)
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Ten gannets/ })
    .click()
  await page
    .getByRole('row', { name: /Push-up/ })
    .getByRole('gridcell')
    .nth(2)
    .click()
  await expectAccessible(page, colours)
  await page.getByRole('button', { name: 'Send home' }).click()
  const href = (await page.locator('a.address').getAttribute('href'))!
  await page.goto(href)
  await expect(page.getByRole('heading', { name: 'Stay safe' })).toBeVisible()
  await expectAccessible(page, colours)
  await page.getByRole('button', { name: /4–6/ }).click()
  await expect(page.getByTestId('digits')).toBeVisible()
  await expectAccessible(page, colours)
})

test('@verify nothing is cut off at 200 % zoom', async ({ browser }) => {
  // Night changes colors alone, and no color takes room.
  for (const colorScheme of process.env.VERIFY ? (['light', 'dark'] as const) : (['light'] as const)) {
    // A window of 1280 × 800 at 200 % zoom lays its pages out on 640 × 400.
    const context = await browser.newContext({
      viewport: { width: 640, height: 400 },
      deviceScaleFactor: 2,
      colorScheme,
    })
    const page = await context.newPage()
    await page.goto(at('/sign-in'))
    await expectNothingCut(page)
    await openDesk(page)
    await expectNothingCut(page)
    for (const view of ['bin', 'draft', 'settings', 'account', 'outbox', 'sign-up', 'forgotten']) {
      await page.goto(at(`/${view}`))
      await expect(page.getByRole('heading').first()).toBeVisible()
      await expectNothingCut(page)
    }
    await page.goto(at('/'))
    await page
      .getByRole('link', { name: /Storm-day springs/ })
      .first()
      .click()
    await expect(page.getByRole('grid')).toBeVisible()
    await expectNothingCut(page)
    await page.mouse.wheel(0, 700)
    await page.waitForTimeout(300)
    await expectNothingCut(page)
    await page.getByText('Bounce; your toes stay down').first().click()
    await expect(page.getByRole('radio', { name: /Heel bounces/ })).toBeVisible()
    await expectNothingCut(page)
    await expectAccessible(page, ['target-size', 'scrollable-region-focusable', 'meta-viewport'])
    await page.getByRole('button', { name: 'Send home' }).click()
    const href = (await page.locator('a.address').getAttribute('href'))!
    await expectNothingCut(page)
    await page.goto(href)
    await expect(page.getByRole('heading', { name: 'Stay safe' })).toBeVisible()
    await expectNothingCut(page)
    await context.close()
  }
})
