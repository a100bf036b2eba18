import { at, expect, expectAccessible, expectNothingCut, openDesk, test } from './support/journey.ts'

test.describe.configure({ timeout: 180_000 })

test('a term is planned, changed by drag and by keys, taken back, put into a calendar, and shows nothing at its old address', async ({
  page,
}) => {
  await openDesk(page)
  await page.getByRole('link', { name: 'Terms' }).click()
  await page.getByRole('button', { name: 'New term' }).first().click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Winter at home')
  await page.getByRole('button', { name: 'Make it' }).click()
  await expect(page.getByRole('heading', { name: 'Winter at home' })).toBeVisible()

  // From her sessions, as far as they go; what cannot be met would be named.
  await page.getByRole('button', { name: 'Plan it for me' }).click()
  const panel = page.getByRole('region', { name: 'Plan it for me' })
  const boxes = panel.locator('details').first().getByRole('checkbox')
  for (let i = 0; i < 12; i++) await boxes.nth(i).check()
  await panel.getByText(/^Families that come twice/).click()
  await panel.getByRole('checkbox', { name: 'jump' }).check()
  await panel.getByRole('button', { name: 'Plan it', exact: true }).click()
  await expect(panel.getByText('21 of 21 days have a session')).toBeVisible({ timeout: 20_000 })
  await expect(panel.getByText('Every family comes twice in time')).toBeVisible()
  await panel.getByRole('button', { name: 'Take this plan' }).click()
  const days = page.locator('[data-date]')
  await expect(page.locator('[data-date].filled')).toHaveCount(21)
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await expectAccessible(page)
  await expectNothingCut(page)

  // One session fewer, and only what must be changes.
  const gone = await days.first().locator('b').innerText()
  await panel.getByRole('checkbox', { name: gone }).uncheck()
  await panel.getByRole('button', { name: 'Change only what must be' }).click()
  await expect(panel.getByRole('button', { name: 'Take this plan' })).toBeVisible({ timeout: 30_000 })
  await expect(panel.getByText(/days? changes?:|days change:/)).toBeVisible()
  await panel.getByRole('button', { name: 'Take this plan' }).click()
  await expect(page.locator('[data-date].filled', { hasText: gone })).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('[data-date].filled', { hasText: gone })).not.toHaveCount(0)

  // By drag from the list, then by keys alone.
  await page.getByRole('tab', { name: 'Day' }).click()
  const free = page.locator('[data-date].kept').first()
  const date = (await free.getAttribute('data-date'))!
  await page.getByRole('button', { name: /^Still waters/ }).dragTo(free)
  const there = page.locator(`[data-date="${date}"]`)
  await expect(there).toContainText('Still waters')
  await there.focus()
  await page.keyboard.press('p')
  await expect(there).toHaveAccessibleName(/pinned/)
  await page.keyboard.press('Delete')
  await expect(there).not.toContainText('Still waters')
  await page.keyboard.press('Control+z')
  await expect(there).toContainText('Still waters')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('textbox', { name: 'Find a session' })).toBeFocused()

  await page.getByRole('tab', { name: 'Coverage' }).click()
  await expectAccessible(page, undefined, 'aside')
  // Both states of a conflict stay: another tab saved meanwhile.
  const id = page.url().split('/').at(-1)!
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  const other = await (await page.request.get(at(`/api/terms/${id}`))).json()
  await page.request.put(at(`/api/terms/${id}`), {
    headers: { origin: at('') },
    data: { revision: other.revision, document: { ...other.document, weeks: 10 } },
  })
  await there.focus()
  await page.keyboard.press('Delete')
  await page.getByRole('button', { name: 'What differs?' }).click()
  await page.getByRole('dialog').getByRole('button', { name: 'Keep mine as a copy' }).click()
  await expect(page.getByRole('heading', { name: 'Winter at home (my copy)' })).toBeVisible()

  await page.getByRole('tab', { name: 'Take along' }).click()
  await page.getByRole('button', { name: 'Make an address' }).click()
  const address = await page.getByRole('textbox', { name: /^Address for a calendar/ }).inputValue()
  const file = await page.request.get(address)
  expect([file.status(), (await file.text()).match(/BEGIN:VEVENT/g)!.length]).toEqual([200, 21])
  await page.getByRole('button', { name: 'End it …' }).click()
  await page.getByRole('button', { name: 'End it now' }).click()
  await expect(page.getByRole('button', { name: 'Make an address' })).toBeVisible()
  expect((await page.request.get(address)).status()).toBe(410)
})
