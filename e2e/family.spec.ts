import { at, expect, openDesk, test, playToEnd } from './support/journey.ts'

async function linkOf(page: Parameters<typeof openDesk>[0], title: RegExp): Promise<string> {
  await openDesk(page)
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('listitem')
    .filter({ hasText: title })
    .getByRole('link', { name: /\d results?$/ })
    .click()
  return (await page.locator('a.address').first().getAttribute('href'))!
}

test('the player pauses, goes back and skips, shows the counted rep, and keeps a surprise secret', async ({ page }) => {
  const href = await linkOf(page, /Storm-day springs/)
  await page.goto(href)
  await expect(page.getByText('Over the gap')).toHaveCount(0)
  await page.getByRole('button', { name: /K–1/ }).click()
  const digits = page.getByTestId('digits')
  await expect(digits).toHaveText(/^4[345]$/)
  await page.getByRole('button', { name: 'Pause' }).click()
  const stood = await digits.textContent()
  await page.waitForTimeout(1500)
  await expect(digits).toHaveText(stood!)
  await page.getByRole('button', { name: 'Continue' }).click()
  await expect(digits).not.toHaveText(stood!)
  const heading = page.getByRole('heading', { level: 2 })
  const skip = page.getByRole('button', { name: 'Skip' })
  await skip.click()
  await expect(heading).toHaveText('March on the spot')
  await skip.click()
  await expect(heading).toHaveText('Side bend')
  await page.getByRole('button', { name: 'Back' }).click()
  await expect(heading).toHaveText('March on the spot')
  await skip.click()
  await skip.click()
  await expect(digits).toHaveText('1')
  await page.getByRole('button', { name: 'Done', exact: true }).click()
  await expect(heading).not.toHaveText('Side bend')

  // Up to the last rest before the game: what follows is not revealed.
  for (let i = 0; i < 80 && !(await page.getByText('A surprise').first().isVisible()); i++) await skip.click()
  await expect(page.getByText('A surprise').first()).toBeVisible()
  await expect(page.getByText('Side step over the line')).toHaveCount(0)
})

test('a run finished offline is kept on the device and sent when the network is back', async ({ page, context }) => {
  const href = await linkOf(page, /Heron and limpet/)
  await page.goto(`${href}?speed=300`)
  await page.getByRole('button', { name: /2–3/ }).click()
  await playToEnd(page)
  await context.setOffline(true)
  await page.getByText('just right').click()
  await page.getByRole('button', { name: 'Send to my teacher' }).click()
  await expect(page.getByRole('heading', { name: 'Saved on this device' })).toBeVisible()
  const sent = page.waitForResponse((r) => r.url().endsWith('/runs') && r.status() === 200)
  await context.setOffline(false)
  await sent
  await expect(page.getByRole('heading', { name: 'Sent' })).toBeVisible()
})

test('@verify an ended link and an invalid one say so kindly', async ({ page }) => {
  const href = await linkOf(page, /The ferry stays in/)
  await page.getByRole('button', { name: 'End link…' }).click()
  await page.getByRole('button', { name: 'End link now' }).click()
  await expect(page.getByText('This link has ended')).toBeVisible()
  await page.goto(href)
  await expect(page.getByRole('heading', { name: 'This session has ended' })).toBeVisible()
  await page.goto(at('/go/made-up'))
  await expect(page.getByRole('heading', { name: "This link doesn't work" })).toBeVisible()
})

test('names with markup in them show as text', async ({ page }) => {
  await openDesk(page)
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  const title = '<img src=x onerror="document.title=1"> & <b>bold</b>'
  await page.getByLabel('Session name').fill(title)
  await page.getByRole('button', { name: 'Create session', exact: true }).click()
  await expect(page.getByRole('heading', { name: title })).toBeVisible()
  await page.goto(at('/'))
  await expect(page.getByRole('link', { name: title })).toBeVisible()
  expect(await page.title()).toBe('Desk – Esfuerzo')
})
