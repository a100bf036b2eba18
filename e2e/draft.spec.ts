// Empty Desk: these journeys need nothing of the demo.
import {
  at,
  expect,
  expectAccessible,
  expectNothingCut,
  newSession,
  openDesk,
  playToEnd,
  test,
} from './support/journey.ts'

test.describe.configure({ timeout: 180_000 })

test('@verify three drafts are compared, a row is kept and the rest drafted again, one is taken, played and sent home without a finding', async ({
  page,
}) => {
  await openDesk(page)
  await expect(page.getByRole('link', { name: 'Draft for me' })).toBeVisible()
  await page.goto(at('/draft?seed=7'))
  await expect(page.getByRole('heading', { name: 'Draft for me' })).toBeVisible()
  const cards = page.getByRole('region', { name: /^(Learn|Work|Play)$/ })
  await expect(page.getByRole('button', { name: /^Use “/ })).toHaveCount(3)
  await expectAccessible(page)
  await expectNothingCut(page)

  // Other conditions: strength, twenty minutes, a mat.
  await page.getByRole('combobox', { name: 'Focus' }).press('ArrowDown')
  await page.getByRole('option', { name: 'Strength', exact: true }).click()
  await page.getByRole('textbox', { name: 'Minutes' }).fill('20')
  await page.getByRole('button', { name: 'Create 3 drafts' }).click()
  const work = page.getByRole('region', { name: 'Work' })
  await expect(work.getByRole('button', { name: /^Use “/ })).toBeVisible()
  await expect(cards.nth(2).getByRole('button', { name: /^Use “/ })).toBeVisible()
  const titleOf = () => work.locator('.title').innerText()
  const before = await titleOf()

  // The second row of the main section is kept; the rest is drafted again.
  const row = work.locator('.part').nth(1).getByRole('listitem').nth(1)
  const kept = await row.locator('.name').innerText()
  await row.getByRole('checkbox').check()
  await work.getByRole('button', { name: 'Redraft the rest' }).click()
  await expect.poll(titleOf).not.toBe(before)
  await expect(work.locator('.kept .name', { hasText: kept })).toHaveCount(1)
  await expect(work.locator('.kept').getByRole('checkbox')).toBeChecked()

  // Once taken, it is a session like any other: no findings of weight *fix* or *advice*.
  await work.getByRole('button', { name: /^Use “/ }).click()
  await expect(page.getByRole('grid')).toContainText(kept)
  await page.getByRole('button', { name: 'Send home' }).click()
  await page.getByRole('button', { name: 'Create link' }).click()
  const link = page.locator('a.address')
  await expect(link).toBeVisible()
  await expect(page.getByText('Open checks')).toHaveCount(0)
  await page.goto(`${await link.getAttribute('href')}?speed=300`)
  await page
    .getByRole('button', { name: /Grades/ })
    .first()
    .click()
  await playToEnd(page, 120_000)
})

test('@verify an empty session is drafted into, under its own name', async ({ page }) => {
  await openDesk(page)
  await newSession(page, 'Whatever the weather')
  await page.getByRole('main').getByRole('link', { name: 'Draft for me' }).click()
  await page
    .getByRole('region', { name: 'Play' })
    .getByRole('button', { name: /^Use “/ })
    .click()
  await expect(page.getByRole('heading', { name: 'Whatever the weather' })).toBeVisible()
  await expect(page.getByRole('link', { name: 'Draft for me' })).toHaveCount(0)
})

test('exercises are suggested for a place with reasons, and taken as one edit', async ({ page }) => {
  await openDesk(page)
  await newSession(page, 'Half an idea')
  await page.getByRole('gridcell', { name: /^Main part/ }).click()
  await page.getByRole('button', { name: 'Fill this section for me' }).click()
  const panel = page.getByRole('region', { name: 'Fill this section for me' })
  await expect(panel.getByRole('listitem')).toHaveCount(4)
  await expect(panel.getByText(/no (?:pull|push) yet/).first()).toBeVisible()
  await expectAccessible(page, undefined, 'aside')
  const second = await panel.getByRole('listitem').nth(1).locator('b').innerText()
  await panel.getByRole('listitem').nth(1).getByRole('checkbox').uncheck()
  await panel.getByRole('button', { name: 'Use all 3' }).click()
  await expect(page.getByRole('grid')).not.toContainText(second)
  await page.keyboard.press('Control+z')

  await page.getByRole('tab', { name: 'Exercises' }).click()
  await page.getByRole('combobox', { name: 'Find an exercise' }).click()
  await expect(page.getByRole('option').first()).toContainText(/yet|focus/)
})
