import { at, expect, expectAccessible, test, playToEnd } from './support/journey.ts'
import { startLane, tokenOf } from './support/links.ts'

test('two lanes run offline from the link to the queued results, which are sent later', async ({ page, context }) => {
  const token = await tokenOf('Rock-pool circuit')
  await page.goto(at(`/go/${token}`))
  await expect(page.getByRole('heading', { name: 'Rock-pool circuit' })).toBeVisible()
  // The first visit is complete when the pages are cached.
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready
    while (!navigator.serviceWorker.controller) await new Promise((resolve) => setTimeout(resolve, 50))
  })
  await context.setOffline(true)

  await page.goto(at('/go/'))
  await page.getByRole('link', { name: /Rock-pool circuit/ }).click()
  await expect(page.getByText('No internet')).toBeVisible()
  await page.goto(`${page.url()}?speed=300`)
  await page.getByRole('button', { name: 'Two children' }).click()
  await page.getByRole('button', { name: /K–1/ }).click()
  await page.getByRole('button', { name: /4–6/ }).click()
  await page.getByRole('button', { name: 'I keep going to the end' }).click()
  await page.getByRole('button', { name: 'Start both' }).click()
  await expect(page.locator('.stage')).toHaveCount(2)
  await playToEnd(page, 90_000)
  await expect(page.getByText('Your target: I keep going to the end')).toBeVisible()
  const lanes = page.locator('section.lane')
  await lanes.nth(0).getByText('just right').click()
  await lanes.nth(1).getByText('7', { exact: true }).click()
  await page.getByRole('button', { name: 'Maybe' }).click()
  await page.getByRole('button', { name: 'Send to my teacher' }).click()
  await expect(page.getByRole('heading', { name: 'Saved on this device' })).toBeVisible()

  // The device is off overnight.
  await page.close()
  const morning = await context.newPage()
  const sent: string[] = []
  morning.on('response', (response) => {
    if (response.request().method() === 'POST' && response.ok()) sent.push(response.url())
  })
  await context.setOffline(false)
  await morning.goto(at('/go/'))
  await expect.poll(() => sent.length).toBe(2)
  expect(sent.every((url) => url.endsWith(`/api/go/${token}/runs`))).toBe(true)
})

test('a reloaded page continues where it was, paused', async ({ page }) => {
  await startLane(page, 'Storm-day springs', /4–6/)
  const heading = page.getByRole('heading', { level: 2 })
  const skip = page.getByRole('button', { name: 'Skip' })
  for (let i = 0; i < 40 && (await heading.textContent()) !== 'Tuck jump'; i++) await skip.click()
  await page.getByRole('button', { name: 'Pause' }).click()
  const stood = await page.getByTestId('digits').textContent()
  await page.waitForTimeout(800)
  await page.reload()
  await expect(heading).toHaveText('Tuck jump')
  await expect(page.getByText('Paused')).toBeVisible()
  await expect(page.getByTestId('digits')).toHaveText(stood!)
  await page.getByRole('button', { name: 'Continue' }).click()
  await expect(page.getByTestId('digits')).not.toHaveText(stood!)
})

test('@verify work is made easier with one tap and longer with another', async ({ page }) => {
  await startLane(page, 'Storm-day springs', /4–6/)
  const heading = page.getByRole('heading', { level: 2 })
  const easier = page.getByRole('button', { name: 'Make it easier' })
  const skip = page.getByRole('button', { name: 'Skip' })
  const onTuck = async () => (await easier.isVisible()) && (await heading.textContent()) === 'Tuck jump'
  for (let i = 0; i < 40 && !(await onTuck()); i++) await skip.click()
  await easier.click()
  await expect(heading).toHaveText('Squat jump')
  await page.getByRole('button', { name: 'Pause' }).click()
  const before = Number(await page.getByTestId('digits').textContent())
  await page.getByRole('button', { name: '10 s more' }).click()
  await expect(page.getByTestId('digits')).toHaveText(String(before + 10))
  await skip.click()
  await page.getByRole('button', { name: 'Stop' }).click()
  await expect(page.getByRole('heading', { name: 'Done for today' })).toBeVisible()
})

test('@verify a coin sheet is played to its end, with the coin on the screen and with a real one', async ({ page }) => {
  await startLane(page, 'Heads for the harbour', /4–6/)
  const flip = page.getByRole('button', { name: 'Flip the coin' })
  const skip = page.getByRole('button', { name: 'Skip' })
  for (let i = 0; i < 30 && !(await flip.isVisible()); i++) await skip.click()
  const done = page.getByRole('button', { name: 'Done', exact: true })
  await flip.click()
  await done.click()
  await page.getByRole('button', { name: 'I have a coin' }).click()
  for (let i = 0; i < 40 && (await page.locator('.chance').isVisible()); i++) {
    await page.getByRole('button', { name: i % 2 ? 'heads' : 'tails' }).click()
    if (await done.isVisible()) await done.click()
  }
  await expect(page.locator('.chance')).toHaveCount(0)
})

test('@verify in Spanish everything is in Spanish, and the choice is kept on the device', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(at(`/go/${await tokenOf('Storm-day springs')}`))
  await page.getByRole('button', { name: 'Español' }).click()
  await expect(page.getByRole('heading', { name: 'Elige tu calle' })).toBeVisible()
  await expect(page.locator('html')).toHaveAttribute('lang', 'es')
  await expect(page.getByText('Con calzado deportivo')).toBeVisible()
  await page.reload()
  await expect(page.getByRole('heading', { name: 'Cuídate' })).toBeVisible()
  await expectAccessible(page)
  await page.getByRole('button', { name: /4–6/ }).click()
  await expect(page.locator('.stage')).toBeVisible()
  const heading = page.getByRole('heading', { level: 2 })
  for (let i = 0; i < 40 && (await heading.textContent()) !== 'Salto encogido'; i++) {
    // Nothing of a step is pushed off the screen.
    const over = await page.locator('.inside').evaluate((inside) => inside.scrollHeight - inside.clientHeight)
    expect(over, (await heading.textContent()) ?? '').toBeLessThanOrEqual(2)
    await page.getByRole('button', { name: 'Pasar' }).click()
  }
  await expect(heading).toHaveText('Salto encogido')
  await expectAccessible(page)
})
