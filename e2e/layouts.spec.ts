import { at, expect, expectAccessible, openDesk, test } from './support/journey.ts'
import { layoutFaults, lengthenWords } from './support/layout.ts'

test.describe.configure({ mode: 'parallel', timeout: 600_000 })

const widths = [390, 600, 768, 1024, 1280, 1920]

for (const colorScheme of ['light', 'dark'] as const)
  test(`@verify every teacher view fits at every width, ${colorScheme}, also with words two fifths longer`, async ({
    page,
  }) => {
    await page.emulateMedia({ colorScheme })
    await openDesk(page)
    const ask = (path: string) => page.evaluate((url) => fetch(url).then((answer) => answer.json()), path)
    const { workouts } = (await ask('/api/workouts')) as { workouts: { id: string; title: string }[] }
    const { classes } = (await ask('/api/classes')) as { classes: { id: string }[] }
    const { terms } = (await ask('/api/terms')) as { terms: { id: string }[] }
    const springs = workouts.find((w) => w.title === 'Storm-day springs')!.id
    const views = [
      '/',
      '/bin',
      '/draft?seed=7',
      `/sessions/${springs}`,
      `/sessions/${springs}/handout`,
      '/moves',
      '/moves/squat-jump',
      '/moves/new?from=squat',
      '/tests',
      '/classes',
      `/classes/${classes[0]!.id}`,
      `/classes/${classes[0]!.id}?view=pupils`,
      '/terms',
      `/term/${terms[0]!.id}`,
      '/settings',
      '/account',
    ]
    for (const view of views)
      for (const width of widths) {
        await page.setViewportSize({ width, height: width < 700 ? 844 : 800 })
        await page.goto(at(view))
        await expect(page.getByRole('heading', { level: 1 }).first()).toBeVisible()
        await expect(page.getByText('Loading…')).toHaveCount(0)
        await page.evaluate(() => document.fonts.ready)
        // A list that measures its rows has settled a moment later.
        await expect.poll(async () => [view, width, await layoutFaults(page)]).toEqual([view, width, []])
        if (width === 390) await expectAccessible(page)
        await lengthenWords(page, 0.4)
        const longer = async () => (await layoutFaults(page)).filter((fault) => !fault.startsWith('cut off'))
        await expect.poll(async () => [view, width, 'longer', await longer()]).toEqual([view, width, 'longer', []])
      }
  })

test('@verify a panel that lies over the running order leaves the row it edits in sight', async ({ page }) => {
  await openDesk(page)
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Storm-day springs/ })
    .click()
  await page.setViewportSize({ width: 768, height: 1024 })
  const row = page.getByRole('row', { name: /Lunge/ })
  await row.getByRole('gridcell').first().click()
  await page.getByRole('tab', { name: 'Edit' }).click()
  const panel = page.locator('aside.open')
  await expect(panel).toBeVisible()
  await expect
    .poll(async () => {
      const [above, below] = [await row.boundingBox(), await panel.boundingBox()]
      return above!.y + above!.height <= below!.y
    })
    .toBe(true)
  // Six tabs, all in one line, none cut.
  for (const width of [390, 600, 768, 1024, 1280, 1920]) {
    await page.setViewportSize({ width, height: 900 })
    const tabs = await page.getByRole('tablist', { name: 'Exercises and details' }).getByRole('tab').all()
    const boxes = await Promise.all(tabs.map((tab) => tab.boundingBox()))
    expect(boxes, `at ${width}`).toHaveLength(6)
    expect(new Set(boxes.map((box) => Math.round(box!.y))).size, `lines at ${width}`).toBe(1)
    expect(Math.min(...boxes.map((box) => box!.width)), `targets at ${width}`).toBeGreaterThanOrEqual(24)
    expect(boxes.at(-1)!.x + boxes.at(-1)!.width, `end at ${width}`).toBeLessThanOrEqual(width)
  }
})
