// Empty Desk: these journeys need nothing of the demo.
import { addMove, at, expect, laneTotal, newSession, signIn, test, playToEnd } from './support/journey.ts'

test('a session goes from the running order to a child’s finished run and back to the Desk', async ({
  page,
  browser,
}) => {
  await signIn(page)
  await newSession(page, 'Gale warning', 20)

  // Warm-up: march 30 s, squat 10.
  await page.getByRole('gridcell', { name: 'Warm-up', exact: true }).click()
  await addMove(page, 'march')
  await page.getByRole('tab', { name: 'Edit' }).click()
  await addMove(page, 'arm circles')

  // Three laps: 30/30, grades 2–3 30/25, grades 4–6 40/25.
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  const only = async (group: RegExp) => {
    await page.getByRole('group', { name: 'Groups to change' }).getByRole('button', { name: 'All' }).click()
    await page.getByRole('button', { name: group }).click()
  }
  await only(/Only B/)
  await page.getByLabel('Rest', { exact: true }).fill('25')
  await only(/Only C/)
  await page.getByLabel('Work', { exact: true }).fill('40')
  await page.getByLabel('Rest', { exact: true }).fill('25')
  for (const move of ['pogo', 'squat jump', 'one-leg stand', 'lunge']) await addMove(page, move)

  // 4 stations × 3 laps: 720, 660 and 780 s; marching and arm circles add their own.
  const cell = (text: string) => page.getByRole('row', { name: /Main part/ }).getByRole('gridcell', { name: text })
  await expect(cell('3 laps 30 / 30')).toBeVisible()
  await expect(cell('3 laps 30 / 25')).toBeVisible()
  await expect(cell('3 laps 40 / 25')).toBeVisible()

  // Another version for grades 4–6.
  await page
    .getByRole('row', { name: /Squat jump/ })
    .getByRole('gridcell')
    .nth(3)
    .click()
  await only(/Only C/)
  await page.getByRole('radio', { name: /Tuck jump/ }).check()
  await page.getByLabel('Children record their reps').check()
  await expect(
    page
      .getByRole('row', { name: /Squat jump/ })
      .getByRole('gridcell')
      .nth(4),
  ).toContainText('Jump and draw your knees up')

  await page.getByRole('gridcell', { name: /^Cool-down/ }).click()
  await addMove(page, 'butterfly')

  // By hand: march 10 reps of 0.6 s and 1 s change, 10 arm circles of 2 s; 12 slots; then 4 s (floor) less the last
  // rest, and the butterfly 10 s for K–1 and 2–3, 20 s above. K–1 at pace 1.25, 2–3 at 1.1.
  //   A: 7.5→8 + 1.25→1 + 25 + 720 + 10 = 764   B: 6.6→7 + 1.1→1 + 22 + 660 + 10 = 700   C: 6 + 1 + 20 + 780 + 20 = 827
  await expect(laneTotal(page, 'A')).toHaveText('12:44')
  await expect(laneTotal(page, 'B')).toHaveText('11:40')
  await expect(laneTotal(page, 'C')).toHaveText('13:47')

  await page.getByRole('button', { name: 'Send home' }).click()
  await page.getByRole('button', { name: 'Create link' }).click()
  const href = await page.locator('a.address').getAttribute('href')
  expect(href).toMatch(/\/go\/[A-Za-z0-9_-]{22}$/)

  // A family, on a phone, three hundred times as fast as life.
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 } })
  const child = await phone.newPage()
  await child.goto(`${href}?speed=300`)
  await expect(child.getByRole('heading', { name: 'Gale warning' })).toBeVisible()
  await child.getByRole('button', { name: /Grades 4–6/ }).click()
  await expect(child.getByTestId('digits')).toBeVisible()
  await playToEnd(child)
  await child.getByLabel('7', { exact: false }).first().check({ force: true })
  for (const [lap, reps] of [
    [1, '14'],
    [2, '13'],
    [3, '15'],
  ] as const)
    await child.getByLabel(`Tuck jump, lap ${lap}`).fill(reps)
  await child.getByRole('button', { name: 'Send to my teacher' }).click()
  await expect(child.getByRole('heading', { name: 'Sent' })).toBeVisible()

  // Back with the teacher: on the Desk, and in the session.
  await page.goto(at('/'))
  const back = page.getByRole('region', { name: 'Results from home' }).getByRole('listitem').first()
  await expect(back).toContainText('Gale warning')
  await expect(back).toContainText('4–6')
  await expect(back).toContainText('felt 7 of 10')
  await expect(back).toContainText('Tuck jump 14, 13, 15')
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Gale warning/ })
    .click()
  await page.getByRole('tab', { name: 'Results' }).click()
  await expect(page.getByRole('tabpanel').getByRole('listitem')).toContainText('Tuck jump 14, 13, 15')
  await phone.close()
})
