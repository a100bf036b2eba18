// Empty Desk: these journeys need nothing of the demo.
import {
  at,
  expect,
  expectAccessible,
  expectNothingCut,
  laneTotal,
  newSession,
  openDesk,
  test,
} from './support/journey.ts'

const text = [
  '# Long way round',
  'minutes 14; groups K-1, 2-3, 4-6; space mat',
  '## Warm-up',
  'march on the spot 60 s',
  'arm circles 10',
  'squat 10',
  '## Circuit (main)',
  '4 laps 30/25 [4-6: 40/25]',
  'jumping jack',
  'plank',
  'squat',
  'push-up',
  'high knees',
  'curl-up',
  '## Harbour coin (game)',
  'coin, until all are done',
  'heads: squat 10',
  'tails: lunge 8',
].join('\n')

test('@verify too long by minutes: ways to fit from the lane, stations arranged from the row, one undo step each', async ({
  page,
}) => {
  await openDesk(page)
  await newSession(page, 'Long way round', 14)
  await page.keyboard.press('w')
  await page.getByRole('textbox', { name: /whiteboard/i }).fill(text)
  await expect(page.getByText(/ over$/).first()).toBeVisible()
  const before = await laneTotal(page, 'C').textContent()

  // From the lane that is over time.
  await page
    .getByRole('button', { name: / over$/ })
    .first()
    .click()
  await expect(page.getByRole('heading', { name: 'Fit the planned minutes' })).toBeFocused()
  const take = page.getByRole('button', { name: /^Apply / })
  await expect(take).toBeVisible()
  // It was computed in a worker.
  expect(page.workers().length).toBeGreaterThan(0)
  await expectAccessible(page)
  await expectNothingCut(page)
  await take.click()
  await expect(page.getByText(/every lane ends within 14 minutes/i)).toBeVisible()
  await expect(page.getByText(/ over$/)).toHaveCount(0)
  await page.getByRole('button', { name: 'Undo', exact: true }).last().click()
  await expect(laneTotal(page, 'C')).toHaveText(before!)
  await page.getByRole('button', { name: 'Close' }).first().click()

  // From the row with the order problem, and by key.
  await page.getByRole('button', { name: /trips to the floor: Arrange/ }).click()
  await expect(page.getByText(/Trips to the floor: \d+ instead of|No muscle twice in a row/).first()).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Use this order' }).click()
  await expect(page.getByText('The order is good. No other order is better.')).toBeVisible()
  await page.keyboard.press('Escape')

  // Chance, and whether everybody finishes.
  await page.getByRole('button', { name: 'How long will it take?' }).click()
  await expect(page.getByText(/usually \d+:\d\d to \d+:\d\d/).first()).toBeVisible()
  await expect(page.locator('.chart svg path').first()).toBeAttached()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Will everybody finish?' }).click()
  await expect(page.getByText(/finish within 14 minutes/).first()).toBeVisible()
  await expectAccessible(page)
  await expectNothingCut(page)
})

test('@verify cancel answers at once, and an edit restarts the work', async ({ page }) => {
  await openDesk(page)
  // The worker never answers: its script is blocked.
  await page.route('**/core.worker*', (route) => route.fulfill({ contentType: 'text/javascript', body: 'for(;;);' }))
  await newSession(page, 'Many lanes', 14)
  await page.keyboard.press('w')
  await page.getByRole('textbox', { name: /whiteboard/i }).fill(text)
  await expect(page.getByText(/ over$/).first()).toBeVisible()
  await page
    .getByRole('button', { name: / over$/ })
    .first()
    .click()
  const working = page.getByRole('progressbar', { name: 'Calculating…' })
  await expect(working).toBeVisible()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await expect(working).toHaveCount(0)
  // An edit requests it again, for the current session.
  await page.keyboard.press('Control+z')
  await expect(working).toBeVisible()
  await page.unroute('**/core.worker*')
  await page.goto(at('/'))
})

test('@verify a spoiled session lists its findings in the tab, which leads there; sending home lists them too', async ({
  page,
}) => {
  await openDesk(page)
  await newSession(page, 'Looked over')
  await page.keyboard.press('w')
  await page
    .getByRole('textbox', { name: /whiteboard/i })
    .fill(
      '# Looked over\nminutes 14; groups K-1, 4-6; space steps\n## Warm-up\nmarch on the spot 2 min\nside shuffle 60 s\n## Quick (main)\n10 laps 20/20\nhigh knees\n## Cool-down\nslow breaths 10 breaths\n',
    )
  const tab = page.getByRole('tab', { name: /Checks/ })
  await expect(page.locator('.row.station .title').first()).toHaveText('March on the spot')
  await expect(tab).toHaveText('Checks')
  await page
    .getByRole('textbox', { name: /whiteboard/i })
    .fill(
      '# Looked over\nminutes 14; groups K-1, 4-6; space spot\n## Warm-up\nmarch on the spot 20 s\n## Quick (main)\n25 laps 20/20\nhigh knees\nside shuffle\n',
    )
  await expect(tab).toHaveText(/· \d/)
  await tab.click()
  const said = page.getByRole('tabpanel')
  await expect(said.getByText(/of easy moving before the first hard exercise/)).toBeVisible()
  await expect(said.getByText(/over the planned 14 minutes/)).toBeVisible()
  await expectAccessible(page)
  await said
    .getByRole('listitem')
    .filter({ hasText: 'Side shuffle needs' })
    .getByRole('button', { name: 'Show' })
    .click()
  await expect(page.getByRole('row', { name: /Side shuffle/ })).toHaveAttribute('aria-selected', 'true')
  await page.getByRole('button', { name: 'Send home' }).click()
  await expect(page.getByText(/Side shuffle needs/)).toBeVisible()
})
