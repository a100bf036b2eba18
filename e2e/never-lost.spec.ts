// Empty Desk: these journeys need nothing of the demo.
import { startStack } from '../scripts/stack.mjs'
import { addMove, expect, newSession, signIn, test } from './support/journey.ts'

test.describe.configure({ mode: 'serial' })

let stack: Awaited<ReturnType<typeof startStack>>
test.beforeAll(async () => {
  stack = await startStack('killed')
})
test.afterAll(() => stack.stop())

const rows = ['Squat', 'Plank', 'Lunge', 'Push-up']

test('@verify server or database killed while working: the page says so, keeps the work, and saves later', async ({
  page,
}) => {
  await signIn(page, stack.url)
  await newSession(page, 'In a power cut')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  const mark = page.getByTestId('save-mark')
  await addMove(page, 'squat')
  await expect(mark).toHaveText('saved')

  await stack.killServer()
  await addMove(page, 'plank')
  await expect(mark).toContainText('saved on this device')
  await addMove(page, 'lunge')
  await stack.restartServer()
  await expect(mark).toHaveText('saved')

  await stack.cluster.stop('immediate')
  await addMove(page, 'push-up')
  await expect(mark).toContainText('saved on this device')
  await stack.cluster.start()
  await expect(mark).toHaveText('saved')

  await page.reload()
  for (const name of rows) await expect(page.getByRole('row', { name })).toBeVisible()
})

test('@verify unsaved work is restored after the page was closed and opened again', async ({ page }) => {
  await signIn(page, stack.url)
  await page
    .getByRole('link', { name: /In a power cut/ })
    .first()
    .click()
  await page.getByRole('row', { name: 'Push-up' }).getByRole('gridcell').nth(1).click()
  await stack.killServer()
  await addMove(page, 'bridge')
  await expect(page.getByTestId('save-mark')).toContainText('saved on this device')
  await stack.restartServer()
  await page.reload()
  await expect(page.getByRole('row', { name: 'Hip bridge' })).toBeVisible()
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
})
