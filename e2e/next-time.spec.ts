import { randomUUID } from 'node:crypto'
import type { Page } from '@playwright/test'
import { at, expect, expectAccessible, expectNothingCut, openDesk, test } from './support/journey.ts'

test.describe.configure({ timeout: 180_000 })

const plan = `# Kelp forest
minutes 25; groups 2, 3, 4-6; space mat; aim strength
## Warm-up
jog on the spot 60 s
arm circles 10
knee hugs 10
march on the spot 60 s
## Kelp (main)
3 rounds, rest 60 s
squat 8
push-up 5
## Cool-down
quad stretch 20 s [2: quad stretch 10 s]
slow breaths 4 breaths`

/** Sends the open session home and returns its address. */
async function handOut(page: Page): Promise<string> {
  await page.getByRole('button', { name: 'Send home' }).click()
  await page
    .getByRole('button', { name: /^Create (?:new )?link$/ })
    .first()
    .click()
  await expect(page.locator('a.address').first()).toBeVisible()
  return (await page.locator('a.address').first().getAttribute('href'))!
}

/** Six homes per lane that found it clean and not too hard. */
async function sendRuns(page: Page, address: string): Promise<void> {
  const token = address.split('/go/')[1]!.split('?')[0]!
  const { sha256 } = await (await page.request.get(at(`/api/go/${token}`))).json()
  const snapshot = await (await page.request.get(at(`/snapshots/${sha256}`))).json()
  const block = snapshot.sections[1].blocks[0]
  for (const lane of snapshot.lanes)
    for (let i = 0; i < 6; i++) {
      const ended = Date.now() - i * 60_000
      const answer = await page.request.post(at(`/api/go/${token}/runs`), {
        headers: { origin: at('') },
        data: {
          format: 'esfuerzo.run',
          version: 2,
          id: randomUUID(),
          publication: sha256,
          group: lane.id,
          startedAt: new Date(ended - 900_000).toISOString(),
          finishedAt: new Date(ended).toISOString(),
          zone: 'Atlantic/Azores',
          steps: { done: 9, skipped: 0, easier: 0 },
          ended: 'whole',
          felt: lane.grades[0] <= 2 ? { scale: 'faces', value: 3 } : { scale: 'ten', value: 4 },
          results: block.stations.map((s: { id: string }) => ({
            block: block.id,
            station: s.id,
            lap: 1,
            value: 8,
            unit: 'reps',
            clean: 'yes',
          })),
        },
      })
      expect([answer.status(), await answer.text()]).toEqual([200, expect.anything()])
    }
}

test('@verify a second test day, what changed, the next session from results: two changes taken, one refused, sent home, and the child’s book', async ({
  page,
  browser,
  context,
}) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await openDesk(page)

  // Two test days and a try-out lie in the demo's class: what changed is said beside how much the measure varies.
  await page.getByRole('link', { name: 'Classes' }).click()
  await page.getByRole('link', { name: /Class 5/ }).click()
  await page.getByRole('tab', { name: 'Tests over time' }).click()
  const stands = page.locator('section.card').filter({ hasText: 'Sit-to-stands in 30 s' })
  await expect(stands.getByText(/children did both tests\)/)).toBeVisible()
  await expect(stands.getByText(/varies by about .* from day to day/)).toBeVisible()
  await expect(
    stands.getByText('Very high and very low first results often move toward the middle by themselves.'),
  ).toBeVisible()
  await expect(stands.getByRole('img')).toBeVisible()
  await expect(stands.getByRole('columnheader', { name: /^since/ })).toBeVisible()
  await expectAccessible(page)
  await stands.getByRole('link', { name: 'About this test' }).click()
  await expect(page.getByRole('heading', { name: 'Sit-to-stands in 30 s' })).toBeVisible()
  await expectAccessible(page)
  await expectNothingCut(page)

  // A session whose results were clean and easy in every lane.
  await page.getByRole('link', { name: 'Desk' }).click()
  await expect(page.getByRole('heading', { name: /Welcome back/ })).toBeVisible()
  await page.evaluate((text) => navigator.clipboard.writeText(text), plan)
  await page.locator('h1').click()
  await page.keyboard.press('Control+v')
  const read = page.getByRole('dialog', { name: 'Paste a plan' })
  await read.getByRole('button', { name: 'Create session' }).click()
  await expect(page.getByRole('heading', { name: 'Kelp forest' })).toBeVisible()
  await sendRuns(page, await handOut(page))
  await page.reload()
  await page.getByRole('button', { name: 'Create the next session' }).click()

  await expect(page.getByRole('heading', { name: 'Kelp forest 2' })).toBeVisible()
  const panel = page.getByRole('region', { name: 'Next session' }).or(page.locator('.panel'))
  await expect(panel.getByText('6 results, clean and not too hard for most: one step up.')).toHaveCount(3)
  await expectAccessible(page)
  // The first lane stays unchanged; the other two get a step harder.
  await page.getByRole('group').filter({ hasText: 'A' }).getByLabel('No change').first().check()
  await page.getByRole('button', { name: 'Apply 2 changes' }).click()
  await expect(page.locator('.row.station').filter({ hasText: 'Squat' })).toContainText('9')
  await expect(page.locator('.row.station').filter({ hasText: 'Squat' })).toContainText('8')
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  const address = await handOut(page)

  // At home: a lane is run and reported, and is then in the child's own book, which exists nowhere else.
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  const family = await phone.newPage()
  await family.goto(address)
  await family.getByRole('button', { name: /Grades 3/ }).click()
  await family.getByTestId('digits').waitFor()
  for (let i = 0; i < 3; i++) await family.getByRole('button', { name: 'Skip' }).click()
  await family.getByRole('button', { name: 'Stop' }).click()
  await family.getByRole('button', { name: 'Send to my teacher' }).click()
  await family.getByRole('link', { name: 'My book' }).click()
  await expect(family.getByText('Kelp forest 2')).toBeVisible()
  await family.getByRole('button', { name: 'One more', exact: true }).click()
  const plus = family.getByRole('button', { name: /^Five minutes more on/ })
  for (const i of [0, 1, 2]) await plus.nth(i).click()
  await expect(family.getByText(/1[5-9] minutes this week/)).toBeVisible()
  await expectAccessible(family)
  await expectNothingCut(family)
  await family.goto(address)
  await expect(family.getByText('Your goal: One more')).toBeVisible()
  await phone.close()
})

test('@verify a test is done by touch on a phone: read, counted by taps, with how it was done', async ({
  page,
  browser,
}) => {
  await openDesk(page)
  const sent = page.getByRole('region', { name: 'Sent home' }).getByRole('listitem').filter({ hasText: 'Soundings' })
  await sent.getByRole('link', { name: /\d results?$/ }).click()
  const href = (await page.locator('a.address').first().getAttribute('href'))!
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  const family = await phone.newPage()
  await family.goto(`${href}?speed=20`)
  await family.getByRole('button', { name: /Grades 4–6/ }).tap()
  await family.getByTestId('digits').waitFor()
  const skip = family.getByRole('button', { name: 'Skip', exact: true })
  await expect(async () => {
    if (!(await family.getByRole('button', { name: 'We are ready' }).isVisible())) await skip.tap({ timeout: 500 })
    await expect(family.getByRole('button', { name: 'We are ready' })).toBeVisible({ timeout: 200 })
  }).toPass()
  await expectAccessible(family)
  await expectNothingCut(family)
  await family.getByRole('button', { name: 'We are ready' }).tap()
  await family.getByRole('button', { name: 'Go', exact: true }).tap()
  for (let i = 0; i < 7; i++) await family.getByRole('button', { name: 'One more' }).tap()
  await expect(family.getByRole('textbox')).toHaveValue('7')
  await family.locator('.measure').getByRole('button', { name: 'Stop' }).tap()
  await family.getByRole('button', { name: 'Done, but something was different' }).tap()
  await family.getByRole('button', { name: 'I counted by myself' }).tap()
  await family.getByRole('button', { name: 'Done', exact: true }).tap()
  await expect(family.getByRole('heading', { name: /Jump over the line for fifteen seconds/ })).toBeVisible()
  await family.locator('.bar').getByRole('button', { name: 'Stop' }).tap()
  await expect(family.getByText('Sit-to-stands in 30 s: 7 stands')).toBeVisible()
  await phone.close()
})

test('@verify two lanes measure side by side, by keyboard alone', async ({ page }) => {
  await openDesk(page)
  const sent = page.getByRole('region', { name: 'Sent home' }).getByRole('listitem').filter({ hasText: 'Soundings' })
  await sent.getByRole('link', { name: /\d results?$/ }).click()
  await page.goto((await page.locator('a.address').first().getAttribute('href'))!)
  await page.getByRole('button', { name: 'Two children, side by side' }).press('Enter')
  for (const lane of [/Grades 2–3/, /Grades 4–6/]) await page.getByRole('button', { name: lane }).press('Enter')
  await page.getByRole('button', { name: 'Start both' }).press('Enter')
  const ready = page.getByRole('button', { name: 'We are ready' })
  await expect(async () => {
    for (const skip of await page.getByRole('button', { name: 'Skip', exact: true }).all())
      await skip.press('Enter', { timeout: 500 })
    await expect(ready).toHaveCount(2, { timeout: 200 })
  }).toPass()
  await expectNothingCut(page)
  for (const lane of [0, 1]) {
    const measure = page.locator('.measure').nth(lane)
    await measure.getByRole('button', { name: 'We are ready' }).press('Enter')
    await measure.getByRole('textbox').fill(String(15 + lane))
  }
  await page.locator('.measure').first().getByRole('button', { name: 'Done exactly like this' }).press('Enter')
  await page.getByRole('button', { name: 'Done exactly like this' }).first().press('Enter')
  await page.locator('.bar').getByRole('button', { name: 'Stop' }).press('Enter')
  await expect(page.getByText('Sit-to-stands in 30 s: 15 stands')).toBeVisible()
  await expect(page.getByText('Sit-to-stands in 30 s: 16 stands')).toBeVisible()
})
