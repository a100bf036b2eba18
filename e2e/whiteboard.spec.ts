// Empty Desk: these journeys need nothing of the demo.
import type { Page } from '@playwright/test'
import { addMove, expect, expectAccessible, laneTotal, newSession, openDesk, test } from './support/journey.ts'

test.beforeEach(({ page }) => openDesk(page))

const titles = (page: Page) => page.locator('.row.station .title')
const board = (page: Page) => page.getByRole('textbox', { name: 'The session as a whiteboard text' })
const written = (page: Page) =>
  board(page)
    .locator('.cm-line')
    .allInnerTexts()
    .then((lines) => lines.map((l) => l.replace(/\n$/, '')).join('\n'))

/** Adds a block of a form to the section at the cursor, by hand. */
async function addBlock(page: Page, form: string) {
  await page.getByRole('tab', { name: 'Edit' }).click()
  await page.getByRole('button', { name: 'Add block…' }).click()
  await page.getByRole('listitem').or(page.locator('.v-list-item')).filter({ hasText: form }).first().click()
}

test('the whiteboard text and the running order follow each other', async ({ page }) => {
  await newSession(page, 'Written on a board')
  await page.getByRole('gridcell', { name: 'Warm-up', exact: true }).click()
  await page.keyboard.press('w')
  await expect(board(page)).toBeFocused()
  const text = await written(page)
  expect(text).toContain('# Written on a board')

  // Typed: three laps of two exercises, another version for one grade.
  await board(page).fill(
    text.replace(/3 laps 30\/30\n/, '3 laps 30/30 [4-6: 40/20], lap rest 60\npogo jump\nsquat jump [4-6: tuck jump]\n'),
  )
  await expect(titles(page)).toHaveText(['Pogo jump', 'Squat jump'])
  // 3 laps × 2 × 60 s, the last rests of two laps 60 instead of 30 (20): 420; 4–6: 3 × 2 × 60 + 2 × 40 = 440
  await expect(laneTotal(page, 'B')).toHaveText('7:00')
  await expect(laneTotal(page, 'C')).toHaveText('7:20')

  // A mistyped name is corrected; an unknown word stays a row of its own and becomes a question, which an answer settles.
  await board(page).fill((await written(page)).replace('pogo jump', 'pogoo jumpp'))
  await expect(titles(page)).toHaveText(['Pogo jump', 'Squat jump'])
  await board(page).fill((await written(page)).replace('pogoo jumpp', 'zorb jumps'))
  await expect(page.getByText('“zorb jumps” – what is this?')).toBeVisible()
  await expect(titles(page)).toHaveText(['Zorb jumps', 'Squat jump'])
  await expectAccessible(page)
  await page.getByRole('button', { name: /^Pogo jump/ }).click()
  await expect(titles(page)).toHaveText(['Pogo jump', 'Squat jump'])
  await expect(page.getByText('what is this?', { exact: false })).toHaveCount(0)

  // The reverse: a change in the running order appears on the whiteboard.
  await page.locator('.row.station .name').first().click()
  await page.keyboard.press('d')
  await page.getByRole('tab', { name: 'Text' }).click()
  expect((await written(page)).match(/Pogo jump/g)).toHaveLength(2)
})

test('@verify a line describes a whole block, and a list from elsewhere is pasted', async ({ page, context }) => {
  await newSession(page, 'Line by line')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await page.keyboard.press('Enter')
  const line = page.getByRole('combobox', { name: 'Add exercises below' })
  await line.fill('3x10 squat, rest 60')
  await expect(page.getByText(/Sets: 3 sets/)).toBeVisible()
  await line.press('Enter')
  await expect(page.getByRole('row', { name: /3 sets, rest 60 s/ })).toBeVisible()
  await line.fill('ladder 1-5: push-up, plank')
  await line.press('Enter')
  await line.press('Escape')
  await expect(page.getByRole('row', { name: /ladder 1-5/ })).toBeVisible()
  await expect(titles(page)).toHaveText(['Squat', 'Push-up', 'Plank'])

  await context.grantPermissions(['clipboard-read', 'clipboard-write'])
  await page.evaluate(() => navigator.clipboard.writeText('1) jumping jacks 20\n2) moonwalk 10\n3) crab walk 8'))
  await page.locator('.row.section .name').last().click()
  await page.keyboard.press('Control+v')
  // Unclear text is shown first, and answered there.
  const read = page.getByRole('dialog', { name: 'Insert a text into the session' })
  await expect(read.getByText('“moonwalk” – what is this?')).toBeVisible()
  await expectAccessible(page)
  await read.getByRole('button', { name: /^My own exercise/ }).click()
  await read.getByRole('button', { name: 'Insert' }).click()
  await expect(titles(page)).toHaveText(['Squat', 'Push-up', 'Plank', 'Jumping jack', 'Moonwalk', 'Crab walk'])

  // Clear text is inserted at once.
  await page.evaluate(() => navigator.clipboard.writeText('Bear crawl 8 m\nLunges x 6'))
  await page.locator('.row.section .name').last().click()
  await page.keyboard.press('Control+v')
  await expect(titles(page).last()).toHaveText('Lunge')
  await expect(read).toHaveCount(0)
})

test('@verify next to each line of the text is its result; rounds that may apply to two lists are asked about', async ({
  page,
}) => {
  await newSession(page, 'Line by line')
  await page.keyboard.press('w')
  await board(page).fill('Squats 10\nLunges 10\nPress ups 5\n\nHops 10\nJumping jacks 20\n3 rounds, rest 30 s')
  const became = page.getByRole('list', { name: 'How each line was read' }).getByRole('listitem')
  await expect(became).toHaveCount(6)
  await expect(became.first()).toContainText(/Line 1, Squat, 0:54–1:15/)
  // The list appears where its lines are.
  const [line, beside] = await Promise.all([
    page.locator('.cm-line', { hasText: 'Hops 10' }).boundingBox(),
    became.filter({ hasText: 'Line 5' }).boundingBox(),
  ])
  expect(Math.abs(line!.y - beside!.y)).toBeLessThan(3)

  const chip = became.getByRole('button', { name: 'Line 7: what is “3 rounds, rest 30 s”?' })
  await chip.click()
  const ask = page.getByRole('group', { name: '“3 rounds, rest 30 s” – which exercises does this mean?' })
  await expect(ask.getByRole('button').first()).toBeFocused()
  await expectAccessible(page)
  await ask.getByRole('button', { name: /^The last 2/ }).click()
  await expect(became.getByRole('button')).toHaveCount(0)
  expect(await written(page)).toContain('Push-up 5\n3 rounds, rest 30 s\nOne-leg hop 10')

  // The text has its own undo, and an exercise is suggested while its name is typed.
  await page.locator('.cm-line', { hasText: 'Jumping jack 20' }).click()
  await page.keyboard.press('End')
  await page.keyboard.type('\ncrab w')
  await page.getByRole('option', { name: 'Crab walk' }).click()
  await expect(titles(page).last()).toHaveText('Crab walk')
  await page.keyboard.press('Control+z')
  await page.keyboard.press('Control+z')
  await expect(titles(page).last()).toHaveText('Jumping jack')
})

test('@verify a coin sheet, a ladder and rounds are built by hand, and a child can do them', async ({ page }) => {
  // A coin sheet: two columns, a row moved across.
  await newSession(page, 'By hand: a coin')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addBlock(page, 'Chance')
  for (const move of ['squat', 'plank', 'jumping jack', 'crab walk']) await addMove(page, move)
  await page.locator('.row.block', { hasText: 'Chance' }).locator('.name').click()
  const heads = page.getByRole('region', { name: 'Heads' })
  await expect(heads.getByRole('listitem')).toHaveText(['Squat 10', 'Jumping jack 10'])
  await heads.getByRole('button', { name: 'Squat 10' }).click()
  await expect(heads.getByRole('listitem')).toHaveText(['Jumping jack 10'])
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Preview', exact: true }).click()
  await expect(page.getByRole('heading', { name: /The coin decides/ })).toBeVisible()
  await page.getByRole('button', { name: 'Stop' }).click()

  // A ladder that ends sooner for the youngest.
  await page.getByRole('link', { name: 'Desk' }).click()
  await newSession(page, 'By hand: a ladder')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addBlock(page, 'Ladder')
  await addMove(page, 'squat')
  await page.locator('.row.block', { hasText: 'Ladder' }).locator('.name').click()
  await page.getByRole('button', { name: /Only A/ }).click()
  await page.getByLabel('From and to').fill('1-5')
  await page.getByLabel('From and to').press('Enter')
  await expect(page.getByRole('img', { name: '1, 2, 3, 4, 5', exact: true })).toBeVisible()
  await expectAccessible(page)
  // Ten rungs of squats of 1.75 s, each rounded half up, are 98 s; each of the nine after the first starts with one second.
  await expect(laneTotal(page, 'C')).toHaveText('1:47')

  // Rounds with a rest, typed into their cells.
  await page.getByRole('link', { name: 'Desk' }).click()
  await newSession(page, 'By hand: rounds')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addBlock(page, 'Rounds')
  await addMove(page, 'squat')
  await addMove(page, 'push-up')
  await page.locator('.row.block', { hasText: 'Rounds' }).locator('.cell').first().dblclick()
  await page.getByRole('combobox', { name: 'Cell text' }).fill('2 rounds, rest 30')
  await page.getByRole('combobox', { name: 'Cell text' }).press('Enter')
  await expect(page.getByRole('row', { name: /2 rounds, rest 30 s/ })).toBeVisible()
})

test('@verify a starting point is used, for the chosen groups', async ({ page }) => {
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  await page.getByLabel('Grades K–1').uncheck()
  await page.getByRole('radio', { name: /One to ten/ }).check()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Create session', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'One to ten', level: 1 })).toBeVisible()
  await expect(page.getByRole('row', { name: /ladder 1-10/ })).toBeVisible()
  await expect(page.getByRole('columnheader')).toHaveCount(4)
})
