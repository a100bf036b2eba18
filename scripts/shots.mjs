// npm run shots: one current picture of each main view, from the demo, into docs/screenshots/.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { needChromium, needPostgres, say } from './machine.mjs'
import { needPackages } from './packages.mjs'
import { root, startStack } from './stack.mjs'

needPackages(root)
needPostgres()
const executablePath = needChromium()
const { chromium } = await import('@playwright/test')
const folder = join(root, 'docs', 'screenshots')
mkdirSync(folder, { recursive: true })

const stack = await startStack('shots')
const browser = await chromium.launch({
  executablePath,
  args: ['--no-sandbox', '--disable-background-networking', '--autoplay-policy=no-user-gesture-required'],
})
try {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  const shot = async (name, on = page) => {
    await on.evaluate(() => document.fonts.ready)
    await on.waitForTimeout(600)
    await on.screenshot({ path: join(folder, `${name}.png`) })
    say(`${name}.png`)
  }
  await page.goto(stack.url)
  await page.getByLabel('E-mail').fill('marisol@island.example')
  await page.getByLabel('Password').fill('ferry-on-monday')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('heading', { name: 'Sent home' }).waitFor()
  await shot('desk')
  await page.getByRole('button', { name: 'Paste a plan' }).click()
  await page
    .getByLabel('Your plan')
    .fill(
      [
        'Wed – home PE for Y3 + Y4',
        '',
        'Warm up (3 mins): jog on the spot, star jumps',
        '30 secs on / 15 secs off x 2 rounds',
        '1. Squats - easier: sit to a chair',
        '2. Press ups against the sofa',
        '3. Wave dodgers',
        '4. Mountain climbers',
        'Cool down: hamstring stretch 20s each leg',
        'Have fun everybody!',
      ].join('\n'),
    )
  await page.getByText('“Wave dodgers” – what is this?').waitFor()
  await shot('reading')
  await page.getByRole('button', { name: /^My own exercise/ }).click()
  await page.getByRole('button', { name: 'Cancel' }).click()
  await page.getByRole('link', { name: 'Exercises' }).click()
  await page.getByText(/^\d+ exercises/).waitFor()
  await page.getByRole('button', { name: 'thighs', exact: true }).locator('path').first().click()
  await shot('moves')
  // Three drafts based on what was sent home last.
  await page.goto(`${stack.url}/draft?seed=7`)
  await page
    .getByRole('button', { name: /^Use “/ })
    .nth(2)
    .waitFor()
  await shot('drafts')
  await page.getByRole('link', { name: 'Desk' }).click()
  const openFromDesk = async (title) => {
    await page.getByRole('link', { name: title }).first().click()
    await page.getByRole('grid').waitFor()
  }
  await page.getByRole('link', { name: 'Desk' }).click()
  // The family has moved to an apartment: jumps that were fine in the garden are heard below.
  await openFromDesk(/smuggler’s cards/i)
  await page.getByRole('button', { name: 'Goals, groups, home' }).click()
  await page.getByLabel('Quiet (neighbors below)').check()
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('tab', { name: /^Checks/ }).click()
  await page.locator('.fixes').nth(1).waitFor()
  await page.getByText('saved', { exact: true }).waitFor()
  await shot('composer-look')
  await page.getByRole('button', { name: 'Undo' }).first().click()
  await page.getByText('saved', { exact: true }).waitFor()
  await page.getByRole('link', { name: 'Desk' }).click()
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Storm-day springs/ })
    .click()
  await page.getByRole('grid').waitFor()
  await page.getByRole('combobox', { name: 'Find an exercise' }).hover()
  await page
    .getByText(/fits the focus|yet/)
    .first()
    .waitFor()
  await shot('composer')
  await page.getByRole('gridcell', { name: 'Springs', exact: true }).click()
  await page.getByRole('button', { name: 'Fill this section for me' }).click()
  await page.getByRole('button', { name: 'Predicted pulse' }).click()
  await page.getByRole('button', { name: 'Use all 4' }).waitFor()
  await shot('suggestions')
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByRole('button', { name: 'Whiteboard text' }).click()
  await shot('composer-text')
  await page.getByRole('button', { name: 'Send home' }).click()
  await page.locator('a.address').waitFor()
  await shot('hand-out')
  const href = await page.locator('a.address').getAttribute('href')

  await page.getByRole('link', { name: 'Classes' }).click()
  await page.getByRole('link', { name: 'Class 3 · Gannets' }).click()
  const pick = async (session) => {
    await page.getByRole('combobox', { name: 'Session' }).press('ArrowDown')
    await page.getByRole('option', { name: session }).first().click()
    await page.locator('#cell-0-0').waitFor()
  }
  await pick(/Storm-day springs/)
  await page.locator('#cell-0-0').click()
  await shot('class-book')
  await page.getByRole('tab', { name: 'Tests over time' }).click()
  await page.locator('.chart svg').first().waitFor()
  await shot('class-tests')
  await page.getByRole('tab', { name: 'Results' }).click()
  await pick(/Storm-day springs/)
  await page.getByRole('button', { name: 'Create the next session' }).click()
  await page.getByText(/^Based on the results/).waitFor()
  await page.getByRole('button', { name: /^Apply / }).waitFor()
  await shot('next-time')
  await page.getByRole('link', { name: 'Terms' }).click()
  await page.getByRole('link', { name: 'Autumn at home' }).click()
  await page.getByRole('tab', { name: 'Coverage' }).click()
  await page.getByText('Checks', { exact: true }).first().waitFor()
  await shot('term')

  const phone = await browser.newPage({ viewport: { width: 390, height: 844 } })
  await phone.goto(href)
  await phone.getByRole('heading', { name: 'Stay safe' }).waitFor()
  await shot('family-front', phone)
  const run = async (on, lane, skips) => {
    await on.goto(href)
    await on.getByRole('button', { name: lane }).click()
    await on.getByTestId('digits').waitFor()
    for (let i = 0; i < skips; i++) await on.getByRole('button', { name: 'Skip' }).click()
    await on.waitForTimeout(3200)
  }
  await run(page, /4–6/, 13)
  await shot('player')
  await page.getByRole('button', { name: 'Stop' }).click()
  await page.goto(href)
  await page.getByRole('button', { name: 'Two children' }).click()
  for (const lane of [/K–1/, /4–6/]) await page.getByRole('button', { name: lane }).click()
  await page.getByRole('button', { name: 'Start both' }).click()
  await page.locator('.stage').first().waitFor()
  for (const stage of await page.locator('.stage').all()) await stage.getByRole('button', { name: 'Skip' }).click()
  await page.waitForTimeout(3200)
  await shot('player-two')
  await run(phone, /K–1/, 11)
  await shot('player-phone', phone)
  await phone.getByRole('button', { name: 'Stop' }).click()
  await phone.getByRole('heading', { name: 'How hard did it feel?' }).waitFor()
  await shot('after-phone', phone)
  await phone.getByRole('button', { name: 'Send to my teacher' }).click()
  await phone.getByRole('link', { name: 'My book' }).click()
  await phone.getByRole('button', { name: 'One more', exact: true }).click()
  for (const i of [0, 1, 2])
    await phone
      .getByRole('button', { name: /^Five minutes more/ })
      .nth(i)
      .click()
  await shot('my-book', phone)
} finally {
  await browser.close()
  await stack.stop()
}
