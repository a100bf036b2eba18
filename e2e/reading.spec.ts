// Empty Desk: these journeys need nothing of the demo.
import type { Page } from '@playwright/test'
import { expect, expectAccessible, openDesk, test } from './support/journey.ts'

test.beforeEach(({ page }) => openDesk(page))

const plan = `Wed – home PE for Y3 + Y4

Warm up (3 mins): jog on the spot, star jumps
30 secs on / 15 secs off x 2 rounds
1. Squats - easier: sit to a chair
2. Press ups against the sofa
3. Zorbles
4. Wiggle plonks
Cool down: hamstring stretch 20s each leg
Have fun everybody!`

/** Pastes a text onto the page, outside any field. */
async function paste(page: Page, text: string) {
  await page.evaluate((text) => navigator.clipboard.writeText(text), text)
  await page.locator('h1').click()
  await page.keyboard.press('Control+v')
}
const dialog = (page: Page) => page.getByRole('dialog', { name: 'Paste a plan' })

test('a plan is pasted on the Desk, its questions are answered, and it becomes a session; the words are known next time', async ({
  page,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await paste(page, plan)
  const read = dialog(page)
  await expect(read.getByText('against the sofa', { exact: true })).toBeVisible()
  await expect(read.getByText('“Zorbles” – what is this?')).toBeVisible()
  await expectAccessible(page)
  await read.getByRole('button', { name: /^My own exercise/ }).click()
  await expect(read.getByText('“Wiggle plonks” – what is this?')).toBeVisible()
  await read.getByRole('button', { name: /^Just words/ }).click()
  await expect(read.getByText('what is this?', { exact: false })).toHaveCount(0)
  await read.getByRole('button', { name: 'Create session' }).click()

  await expect(page.locator('.row.station .title')).toHaveText([
    'Jog on the spot',
    'Jumping jack',
    'Squat',
    'Push-up',
    'Zorbles',
    'Heel-out stretch',
  ])
  await expect(page.getByText('30 / 15')).toBeVisible()
  // Her text is kept unchanged until she discards it.
  await page.keyboard.press('w')
  await page.getByRole('button', { name: 'Original text' }).click()
  const came = page.getByRole('dialog', { name: 'Original text' })
  await expect(came.locator('pre')).toHaveText(plan)
  await expectAccessible(page)
  await came.getByRole('button', { name: 'Delete text' }).click()
  await expect(page.getByRole('button', { name: 'Original text' })).toHaveCount(0)

  // Her own word, and the one that is not an exercise, are known from now on.
  await page.getByRole('link', { name: 'Desk' }).click()
  await paste(page, 'Fri\nZorbles 20 secs\nWiggle plonks\nSquats x10')
  await expect(read.getByText('Zorbles', { exact: false }).first()).toBeVisible()
  await expect(read.getByText('what is this?', { exact: false })).toHaveCount(0)
  await read.getByRole('button', { name: 'Cancel' }).click()

  // They are in the settings, where they can be forgotten.
  await page.getByRole('link', { name: 'Settings' }).click()
  await expect(page.getByText('“zorble”: My own exercise')).toBeVisible()
  await page.getByRole('button', { name: 'Forget “zorble”' }).click()
  await page.getByRole('button', { name: 'Save', exact: true }).click()
  await expect(page.getByText('“zorble”: My own exercise')).toHaveCount(0)
})
