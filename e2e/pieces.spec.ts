import { readFile } from 'node:fs/promises'
import { addMove, at, expect, newSession, openDesk, test } from './support/journey.ts'

test('@verify a row is copied from one session into another by the clipboard', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openDesk(page)
  await page
    .getByRole('link', { name: /Storm-day springs/ })
    .first()
    .click()
  await page
    .getByRole('row', { name: /Squat jump/ })
    .getByRole('gridcell')
    .nth(1)
    .click()
  await page.keyboard.press('Control+c')
  await expect(page.getByText('Copied. Paste it here')).toBeVisible()
  await page.goto(at('/'))
  await newSession(page, 'With a borrowed row')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await page.keyboard.press('Control+v')
  await expect(page.getByRole('row', { name: /Squat jump/ })).toContainText('Jump and draw your knees up')
  await page.keyboard.press('Control+x')
  await expect(page.getByRole('row', { name: /Squat jump/ })).toHaveCount(0)
  await page.getByTestId('save-mark').getByText('saved', { exact: true }).waitFor()
})

test('a session is exported as a file and imported again; one with mistakes is refused, naming them', async ({
  page,
}) => {
  await openDesk(page)
  await newSession(page, 'On a stick')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addMove(page, 'plank')
  await page.getByRole('button', { name: 'Send home' }).click()
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download file' }).click(),
  ])
  expect(download.suggestedFilename()).toBe('on-a-stick.json')
  const text = await readFile((await download.path())!, 'utf8')

  await page.goto(at('/'))
  const choose = async (content: string) => {
    const [chooser] = await Promise.all([
      page.waitForEvent('filechooser'),
      page.getByRole('button', { name: 'Import files' }).click(),
    ])
    await chooser.setFiles({ name: 'session.json', mimeType: 'application/json', buffer: Buffer.from(content) })
  }
  const bad = JSON.parse(text)
  bad.colour = 'red'
  bad.minutes = 'many'
  bad.groups[0].grades = [9]
  await choose(JSON.stringify(bad))
  const refusal = page.getByRole('dialog', { name: "This file couldn't be imported" })
  for (const path of ['colour:', 'minutes:', 'groups[0].grades[0]:']) await expect(refusal).toContainText(path)
  await refusal.getByRole('button', { name: 'Close' }).click()
  await expect(page.getByRole('region', { name: 'Drafts' }).getByRole('link', { name: /On a stick/ })).toHaveCount(1)

  await choose(text)
  await expect(page.getByRole('row', { name: /Plank/ })).toBeVisible()
  await page.goto(at('/'))
  await expect(page.getByRole('region', { name: 'Drafts' }).getByRole('link', { name: /On a stick/ })).toHaveCount(2)
  await page.getByRole('button', { name: 'Start a new session from On a stick' }).first().click()
  await expect(page.getByRole('heading', { name: 'On a stick (again)' })).toBeVisible()
})

test('@verify two tabs on one session warn each other; a lane’s bar explains itself and leads to its row', async ({
  page,
  context,
}) => {
  await openDesk(page)
  await page
    .getByRole('link', { name: /Storm-day springs/ })
    .first()
    .click()
  await expect(page.getByRole('grid')).toBeVisible()
  await expect(page.getByText('open in another tab')).toHaveCount(0)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByText('open in another tab')).toBeVisible()
  await other.close()
  await expect(page.getByText('open in another tab')).toHaveCount(0)

  const lane = page.getByRole('img', { name: /Lane C/ })
  const box = (await lane.boundingBox())!
  // Halfway along the scale: in the springs' laps.
  await lane.hover({ position: { x: box.width * 0.4, y: 8 } })
  await expect(page.locator('.pointed')).toHaveText(/^\d+:\d\d · .+ · lap \d · \d+ s$/)
  await page.getByRole('button', { name: 'Collapse or expand Springs' }).click()
  await expect(page.getByRole('row', { name: /Pogo jump/ })).toHaveCount(0)
  await lane.click({ position: { x: box.width * 0.4, y: 8 } })
  await expect(page.getByRole('row', { selected: true })).toHaveCount(1)
  await expect(page.getByRole('row', { name: /Pogo jump/ })).toBeVisible()
})
