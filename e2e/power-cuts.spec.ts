// Empty Desk: these journeys need nothing of the demo.
import fc from 'fast-check'
import { startStack } from '../scripts/stack.mjs'
import { expect, newSession, signIn, test } from './support/journey.ts'

test.describe.configure({ timeout: 300_000 })

let stack: Awaited<ReturnType<typeof startStack>>
test.beforeAll(async () => {
  stack = await startStack('cuts')
})
test.afterAll(() => stack.stop())

/** The number of power cuts, and the seed of their moments. */
const cuts = process.env.VERIFY ? 30 : 2
const seed = 20_261_124

test('@verify power cuts at random moments while typing lose nothing that was on the screen', async ({ page }) => {
  const numbers = fc.sample(fc.noBias(fc.integer({ min: 0, max: 999_999 })), { seed, numRuns: 2000 })
  const next = (from: number, to: number) => from + (numbers.pop()! % (to - from + 1))

  await signIn(page, stack.url)
  await newSession(page, 'Thirty cuts')
  await page.getByRole('gridcell', { name: 'Warm-up', exact: true }).click()
  await page.keyboard.press('Enter')
  const line = page.getByRole('combobox', { name: 'Add exercises below' })
  await line.fill('squat 10')
  await line.press('Enter')
  await line.press('Escape')
  await page.getByRole('row', { name: 'Squat' }).getByRole('gridcell').nth(2).click()
  const mark = page.getByTestId('save-mark')
  const shown = async () =>
    (await page.locator('.row.station').allInnerTexts()).map((text) => text.replace(/\s+/g, ' ').replace(/^\d+ /, ''))

  let typed = 1
  for (let cut = 0; cut < cuts; cut++) {
    // Typing goes on meanwhile: doses, rows, versions.
    const target = next(0, 1) ? 'server' : 'database'
    const before = next(0, 3)
    const type = async () => {
      const key = ['+', '+', '-', 'd', 'Alt+ArrowDown', 'Alt+ArrowRight', 'Alt+ArrowLeft'][next(0, 6)]!
      // Ten rows are enough to type in.
      await page.keyboard.press(key === 'd' && (await page.locator('.row.station').count()) > 9 ? '+' : key)
      typed++
    }
    for (let i = 0; i < before; i++) await type()
    // Some cuts hit a save in progress, some the time before it, some the time after it.
    await page.waitForTimeout(next(0, 900))
    if (target === 'server') await stack.killServer()
    else await stack.cluster.stop('immediate')
    for (let i = 0; i < 3; i++) await type()
    const onScreen = await shown()
    if (cut % 5 === 4) {
      // Sometimes the page is closed too, and opened again once the power is back.
      await page.waitForTimeout(100)
      if (target === 'server') await stack.restartServer()
      else await stack.cluster.start()
      await page.reload()
      await expect(page.getByRole('grid')).toBeVisible()
      await page.getByRole('row', { name: 'Squat' }).getByRole('gridcell').nth(2).click()
    } else if (target === 'server') await stack.restartServer()
    else await stack.cluster.start()
    expect(await shown()).toEqual(onScreen)
  }
  expect(typed).toBeGreaterThan(3 * cuts)
  await expect(mark).toHaveText('saved')
  const onScreen = await shown()
  // Another browser sees just that.
  const other = await (await page.context().browser()!.newContext()).newPage()
  await signIn(other, stack.url)
  await other.goto(page.url())
  await expect(other.getByRole('grid')).toBeVisible()
  const stored = await other.locator('.row.station').allInnerTexts()
  expect(stored.map((text) => text.replace(/\s+/g, ' ').replace(/^\d+ /, ''))).toEqual(onScreen)
  await other.context().close()
})
