// Empty Desk: these journeys need nothing of the demo.
import {
  addMove,
  at,
  expect,
  expectAccessible,
  expectNothingCut,
  newSession,
  openDesk,
  test,
} from './support/journey.ts'

test('@verify a teacher’s own exercise is drawn, put into a session, sent home, and done by a child', async ({
  page,
}) => {
  await openDesk(page)
  await page.getByRole('link', { name: 'Exercises' }).click()
  await page.getByRole('textbox', { name: 'Find an exercise' }).fill('sqaut')
  await page.getByRole('link', { name: /^Squat thighs/ }).click()
  await expect(page.getByRole('heading', { name: 'From easiest to hardest' })).toBeVisible()
  await page.getByRole('link', { name: 'Edit a copy' }).click()
  await page.getByLabel('Name', { exact: true }).fill('Limpet squat')

  // The squat's lowest pose gets its arms up.
  await page.getByRole('button', { name: 'Draw Squat', exact: true }).click()
  await page.getByRole('button', { name: 'Pose 2' }).click()
  const arm = page.getByRole('slider', { name: 'right upper arm' })
  const hand = page.getByRole('slider', { name: 'right forearm' })
  await expect(arm).toHaveAttribute('aria-valuenow', '86')
  const shoulder = (await page.getByRole('slider', { name: 'trunk' }).boundingBox())!
  const box = (await arm.boundingBox())!
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2)
  await page.mouse.down()
  await page.mouse.move(shoulder.x + shoulder.width / 2 + 2, shoulder.y - 60, { steps: 4 })
  await page.mouse.up()
  expect(Number(await arm.getAttribute('aria-valuenow'))).toBeGreaterThan(150)
  await hand.press('ArrowUp')
  await page.getByRole('button', { name: 'Done' }).click()
  await page.getByRole('button', { name: 'Save exercise' }).click()
  await expect(page.getByRole('heading', { name: 'Limpet squat' })).toBeVisible()

  await page.getByRole('link', { name: 'Desk' }).click()
  await newSession(page, 'Limpets and winkles')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addMove(page, 'limpet squat')
  const row = page.getByRole('row', { name: /Limpet squat/ })
  await expect(row).toBeVisible()

  // Adds another by one key, and removes it.
  await row.getByRole('gridcell').nth(1).click()
  await page.keyboard.press('s')
  await expect(page.getByText(/Swapped for:/)).toBeVisible()
  await expect(row).toHaveCount(0)
  await page.keyboard.press('Control+z')
  await expect(row).toBeVisible()

  // A weight made of household things, for the grades it suits.
  await page.getByRole('tab', { name: 'Exercises' }).click()
  await page.getByRole('button', { name: 'fits this home' }).click()
  await addMove(page, 'bottle curl')
  await page.getByRole('tab', { name: 'Edit' }).click()
  await page.getByRole('button', { name: /Only C/ }).click()
  await page.getByRole('button', { name: 'use a packet of rice' }).click()
  await page.getByLabel('With a weight').click()
  await page.getByRole('button', { name: 'Make a weight from books and bottles' }).click()
  await page.getByRole('button', { name: 'Bottle', exact: true }).click()
  await page.getByRole('button', { name: 'Remove item 1' }).click()
  await expect(page.getByText(/0\.52 kg in the bag/)).toBeVisible()
  await expect(page.getByText(/for grades 2, 3, 4, 5, 6/)).toBeVisible()
  await page.getByRole('button', { name: 'Use this weight' }).click()
  await expect(page.getByRole('gridcell', { name: /0\.52 kg/ })).toBeVisible()

  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await page.getByRole('button', { name: 'Send home' }).click()
  await page.getByRole('button', { name: 'Create link' }).click()
  const href = (await page.locator('a.address').first().getAttribute('href'))!
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(href)
  await expect(page.getByText('You need: a packet of rice')).toBeVisible()
  await expect(page.getByText(/Ask a grown-up for a bottle/)).toBeVisible()
  await page.getByRole('button', { name: /4–6/ }).click()
  await expect(page.getByText('Limpet squat').first()).toBeVisible()
})

test('@verify a file of exercises with mistakes is refused naming each; a valid one is imported', async ({ page }) => {
  await openDesk(page)
  await page.goto(at('/moves'))
  const put = async (moves: unknown) => {
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Import exercises' }).click()
    const buffer = Buffer.from(JSON.stringify({ format: 'esfuerzo.moves', version: 1, moves }))
    await (await chooser).setFiles({ name: 'moves.json', mimeType: 'application/json', buffer })
  }
  const move = {
    id: 'own-whelk',
    name: 'Whelk curl',
    synonyms: [],
    family: 'curl',
    category: 'bodyAwareness',
    effort: 'ours',
    builds: ['strength'],
    muscles: { main: ['abs'], also: [] },
    posture: 'lyingBack',
    sides: 'both',
    measures: ['reps'],
    space: 'mat',
    noise: 'quiet',
    kit: [],
    versions: [{ id: 'one', name: 'Whelk curl', how: 'Curl up', fromGrade: 0, secondsPerRep: 2, met: 2.8, impact: 0 }],
    standard: 'one',
    cues: ['Roll up'],
    faults: [],
    cautions: [],
    figure: 'curl-up',
  }
  await put([{ move: { ...move, kit: [{ id: 'trampoline' }], muscles: { main: ['gills'], also: [] } }, figures: [] }])
  await expect(page.getByText('The file was not imported.')).toBeVisible()
  await expect(page.getByText(/gills/)).toBeVisible()
  await expect(page.getByText(/trampoline/)).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await put([{ move, figures: [] }])
  await expect(page.getByText('The exercises were imported.')).toBeVisible()
  await page.getByRole('button', { name: 'Close' }).click()
  await page.getByLabel('My own exercises').click()
  await expect(page.getByRole('link', { name: /Whelk curl/ })).toBeVisible()
})

test('@verify the exercise views are accessible, cut nothing off, and animate only what is pointed at', async ({
  page,
}) => {
  await openDesk(page)
  await page.goto(at('/moves'))
  await expect(page.getByText(/^\d+ exercises/)).toBeVisible()
  await expectAccessible(page)
  // Of about two hundred exercises only the visible ones are in the page, at any scroll position.
  const cards = page.locator('a.move')
  expect(await cards.count()).toBeLessThan(60)
  const first = await cards.first().innerText()
  await page.mouse.wheel(0, 4000)
  await expect.poll(() => cards.first().innerText()).not.toBe(first)
  expect(await cards.count()).toBeLessThan(60)
  // One moves while it is pointed at; the others stand still.
  await page.getByRole('textbox', { name: 'Find an exercise' }).fill('jump')
  await page.mouse.wheel(0, -8000)
  const shape = (name: RegExp) => page.getByRole('link', { name }).locator('svg').innerHTML()
  await page.emulateMedia({ reducedMotion: 'no-preference' })
  await page.getByRole('link', { name: /^Line jumps/ }).hover()
  const [near, far] = [await shape(/^Line jumps/), await shape(/^Cross jumps/)]
  await expect.poll(() => shape(/^Line jumps/)).not.toBe(near)
  expect(await shape(/^Cross jumps/)).toBe(far)

  await page.emulateMedia({ reducedMotion: 'reduce' })
  await page.goto(at('/moves/seated-row'))
  await expect(page.getByText('From easiest to hardest')).toBeVisible()
  await expectAccessible(page)
  await page.goto(at('/moves/new?from=seated-row'))
  await page
    .getByRole('button', { name: /^Draw / })
    .first()
    .click()
  await expect(page.getByRole('slider', { name: 'trunk' })).toBeVisible()

  await expectAccessible(page)
  await page.setViewportSize({ width: 640, height: 400 })
  for (const view of ['moves', 'moves/seated-row', 'moves/new']) {
    page.once('dialog', (dialog) => void dialog.accept())
    await page.goto(at(`/${view}`))
    await expect(page.getByRole('heading').first()).toBeVisible()
    await expectNothingCut(page)
  }
})
