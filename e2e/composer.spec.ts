import type { Page } from '@playwright/test'
import { addMove, expect, newSession, openDesk, test } from './support/journey.ts'

const titles = (page: Page) => page.locator('.row.station .title')

test.beforeEach(async ({ page }) => {
  await openDesk(page)
})

test('rows, sections and exercises can be dragged', async ({ page }) => {
  await newSession(page, 'Dragged about')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  for (const move of ['squat', 'plank', 'lunge']) await addMove(page, move)
  const handle = (i: number) => page.locator('.row.station .n').nth(i)
  const row = (i: number) => page.locator('.row.station').nth(i)

  await handle(2).dragTo(row(0), { targetPosition: { x: 200, y: 3 } })
  await expect(titles(page)).toHaveText(['Lunge', 'Squat', 'Plank'])
  await expect(page.locator('p[aria-live="polite"]').filter({ hasText: 'Lunge: row' })).toHaveCount(1)

  await page.getByRole('tab', { name: 'Exercises' }).click()
  await page.getByRole('combobox', { name: 'Find an exercise' }).fill('hip bridge')
  await page
    .getByRole('option', { name: 'Add Hip bridge' })
    .locator('.move')
    .dragTo(row(1), { targetPosition: { x: 200, y: 3 } })
  await expect(titles(page)).toHaveText(['Lunge', 'Hip bridge', 'Squat', 'Plank'])

  const sections = page.locator('.row.section')
  await sections
    .nth(2)
    .locator('.n')
    .dragTo(sections.nth(0), { targetPosition: { x: 200, y: 3 } })
  await expect(sections.locator('.title')).toHaveText(['Cool-down', 'Warm-up', 'Main part'])
  for (let i = 0; i < 3; i++) await page.keyboard.press('Control+z')
  await expect(titles(page)).toHaveText(['Squat', 'Plank', 'Lunge'])
})

test('a cell takes typed text for its group alone; unreadable text stays and says why', async ({ page }) => {
  await newSession(page, 'Typed in place')
  await page.getByRole('gridcell', { name: 'Warm-up', exact: true }).click()
  await addMove(page, 'squat')
  const cells = page.getByRole('row', { name: 'Squat', exact: false }).getByRole('gridcell')
  // K–1 sits down on a chair by itself; the others share a cell.
  await cells.nth(2).dblclick()
  const field = page.getByRole('combobox', { name: 'Cell text' })
  await field.fill('plnak 30')
  await field.press('Enter')
  await expect(page.getByText('did you mean Plank?')).toBeVisible()
  await expect(field).toHaveValue('plnak 30')
  await field.fill('10–15 slow')
  await field.press('Enter')
  await expect(cells.nth(2)).toContainText('10–15')
  await cells.nth(3).click()
  await page.keyboard.type('8')
  await page.keyboard.press('Enter')
  await expect(cells.nth(3)).toContainText('8')
  await expect(cells.nth(2)).toContainText('10–15')

  // Several rows at once: three of them become a step easier, and are removed together.
  await addMove(page, 'lunge')
  await addMove(page, 'push-up')
  await page.locator('.row.station .name').nth(0).click()
  await page
    .locator('.row.station .name')
    .nth(2)
    .click({ modifiers: ['Shift'] })
  await page.getByRole('tab', { name: 'Edit' }).click()
  await expect(page.getByText('3 rows selected')).toBeVisible()
  await page.getByRole('button', { name: 'Remove', exact: true }).click()
  await expect(titles(page)).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).last().click()
  await expect(titles(page)).toHaveCount(3)
})

test('@verify lap changes, a weight and a focus are set for one group', async ({ page }) => {
  await newSession(page, 'From lap two')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addMove(page, 'squat jump')
  await page
    .getByRole('row', { name: /Squat jump/ })
    .getByRole('gridcell')
    .nth(3)
    .click()
  await page.getByRole('button', { name: 'Add a change from lap 2 on' }).click()
  await page.getByLabel('Today’s focus here').fill('Land like a cat')
  await expect(page.getByRole('row', { name: /Land like a cat/ })).toBeVisible()
  await page.getByRole('button', { name: 'Preview', exact: true }).click()
  await page.waitForURL(/\/run\?/)
  await page.goto(
    `${page
      .url()
      .replace(/from=\d+/, 'from=60')
      .replace(/lane=g\d/, 'lane=g2')}&speed=1`,
  )
  await expect(page.getByRole('heading', { name: 'Frog jump' })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('grid')).toBeVisible()
})

test('an earlier revision is viewed, named and restored', async ({ page }) => {
  await newSession(page, 'With a past')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addMove(page, 'squat')
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await page.getByRole('link', { name: 'Desk' }).click()
  await page
    .getByRole('link', { name: /With a past/ })
    .first()
    .click()
  await page.getByRole('row', { name: 'Squat' }).getByRole('gridcell').nth(1).click()
  await addMove(page, 'plank')
  await page.locator('.row.station .name').nth(0).click()
  await page.keyboard.press('Delete')
  await expect(titles(page)).toHaveText(['Plank'])
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await page.getByRole('button', { name: 'Earlier versions' }).click()
  const dialog = page.getByRole('dialog', { name: 'Earlier versions' })
  await dialog
    .getByRole('button', { name: /Edited/ })
    .nth(1)
    .click()
  await expect(dialog.getByText('Removed: Squat')).toBeVisible()
  await expect(dialog.getByText('Added: Plank')).toBeVisible()
  await dialog.getByLabel(/Name of this version/).fill('Only squats')
  await dialog.getByLabel(/Name of this version/).press('Enter')
  await expect(dialog.getByRole('button', { name: /Only squats/ })).toBeVisible()
  await dialog.getByRole('button', { name: 'Restore this version' }).click()
  await expect(titles(page)).toHaveText(['Squat'])
  await page.keyboard.press('Control+z')
  await expect(titles(page)).toHaveText(['Plank'])
})

test('@verify a section is saved and inserted into another session; two sessions are joined', async ({ page }) => {
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Storm-day springs/ })
    .click()
  await page
    .getByRole('gridcell', { name: /^Springs/ })
    .first()
    .click()
  await page.getByRole('button', { name: 'Save for reuse' }).click()
  await expect(page.getByText('“Springs” is in your saved parts')).toBeVisible()
  await page.getByRole('link', { name: 'Desk' }).click()
  await newSession(page, 'Put together')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await page.getByRole('tab', { name: 'Saved' }).click()
  await page.getByRole('button', { name: 'Insert Springs below the cursor' }).click()
  await expect(titles(page)).toHaveText(['Pogo jump', 'One-leg stand', 'Squat jump', 'Lunge'])
  await page.getByRole('button', { name: 'Add another session' }).click()
  await page.getByRole('button', { name: 'Add Ten gannets' }).click()
  await expect(page.getByRole('heading', { name: 'Ten stations, twice' })).toBeVisible()
  await page.getByRole('button', { name: 'Undo', exact: true }).first().click()
  await expect(page.getByRole('heading', { name: 'Ten stations, twice' })).toHaveCount(0)
})

test('@verify only visible rows are in the page, and every row can be reached', async ({ page }) => {
  await newSession(page, 'A long one', 90)
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addMove(page, 'squat')
  await page.locator('.row.station .name').first().click()
  for (let i = 0; i < 79; i++) await page.keyboard.press('d')
  const drawn = () => page.locator('.row').count()
  const all = Number(await page.getByRole('grid').getAttribute('aria-rowcount'))
  expect(all).toBeGreaterThan(80)
  expect(await drawn()).toBeLessThan(45)
  await page.keyboard.press('End')
  await expect(page.locator('.row.section', { hasText: 'Cool-down' })).toBeInViewport()
  await page.keyboard.press('Home')
  await expect(page.locator('.row.section', { hasText: 'Warm-up' })).toBeInViewport()
  expect(await drawn()).toBeLessThan(45)
  // A lane is a few paths, however many steps it has.
  expect(await page.locator('.strip').first().locator('svg *').count()).toBeLessThan(10)
})
