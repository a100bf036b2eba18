import type { Page } from '@playwright/test'
import { addMove, expect, expectAccessible, laneTotal, newSession, openDesk, test } from './support/journey.ts'

test.beforeEach(({ page }) => openDesk(page))

const titles = (page: Page) => page.locator('.row.station .title')
const board = (page: Page) => page.getByRole('textbox', { name: 'The session as a whiteboard text' })

/** Adds a block of a form to the section the cursor is on, by hand. */
async function addBlock(page: Page, form: string) {
  await page.getByRole('tab', { name: 'Edit' }).click()
  await page.getByRole('button', { name: 'Add a block …' }).click()
  await page.getByRole('listitem').or(page.locator('.v-list-item')).filter({ hasText: form }).first().click()
}

test('the whiteboard text and the running order follow each other', async ({ page }) => {
  await newSession(page, 'Written on a board')
  await page.getByRole('gridcell', { name: 'Warm-up', exact: true }).click()
  await page.keyboard.press('w')
  await expect(board(page)).toBeFocused()
  const text = await board(page).inputValue()
  expect(text).toContain('# Written on a board')

  // Typed: three laps of two moves, another version for one grade.
  await board(page).fill(
    text.replace(/3 laps 30\/30\n/, '3 laps 30/30 [4-6: 40/20], lap rest 60\npogo jump\nsquat jump [4-6: tuck jump]\n'),
  )
  await expect(titles(page)).toHaveText(['Pogo jump', 'Squat jump'])
  // 3 laps × 2 × 60 s, the last rests of two laps 60 instead of 30 (20): 420; 4–6: 3 × 2 × 60 + 2 × 40 = 440
  await expect(laneTotal(page, 'B')).toHaveText('7:00')
  await expect(laneTotal(page, 'C')).toHaveText('7:20')

  // A mistyped name is set right; a word nobody knows stays a row of its own and is asked about, and an answer settles it.
  await board(page).fill((await board(page).inputValue()).replace('pogo jump', 'pogoo jumpp'))
  await expect(titles(page)).toHaveText(['Pogo jump', 'Squat jump'])
  await board(page).fill((await board(page).inputValue()).replace('pogoo jumpp', 'zorb jumps'))
  await expect(page.getByText('“zorb jumps” – what is this?')).toBeVisible()
  await expect(titles(page)).toHaveText(['Zorb jumps', 'Squat jump'])
  await expectAccessible(page)
  await page.getByRole('button', { name: /^Pogo jump/ }).click()
  await expect(titles(page)).toHaveText(['Pogo jump', 'Squat jump'])
  await expect(page.getByText('what is this?', { exact: false })).toHaveCount(0)

  // And the other way: a change in the running order is written on the board.
  await page.locator('.row.station .name').first().click()
  await page.keyboard.press('d')
  await page.getByRole('tab', { name: 'Text' }).click()
  expect((await board(page).inputValue()).match(/Pogo jump/g)).toHaveLength(2)
})

test('a line says a whole block, and a list from elsewhere is pasted', async ({ page, context }) => {
  await newSession(page, 'Line by line')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await page.keyboard.press('Enter')
  const line = page.getByRole('combobox', { name: 'Add moves below' })
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
  await expect(titles(page)).toHaveText(['Squat', 'Push-up', 'Plank', 'Jumping jack', 'Moonwalk', 'Crab walk'])
  await expect(page.getByText(/Put in\. Not known yet: moonwalk\./)).toBeVisible()
})

test('a coin sheet, a ladder and rounds are built by hand, and a child can do them', async ({ page }) => {
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
  await page.getByRole('button', { name: 'Try it' }).click()
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
  // Ten rungs of squats of 1.75 s, each rounded half up, are 98 s; a second begins each of the nine after the first.
  await expect(laneTotal(page, 'C')).toHaveText('1:47')

  // Rounds with a rest, typed where they stand.
  await page.getByRole('link', { name: 'Desk' }).click()
  await newSession(page, 'By hand: rounds')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addBlock(page, 'Rounds')
  await addMove(page, 'squat')
  await addMove(page, 'push-up')
  await page.locator('.row.block', { hasText: 'Rounds' }).locator('.cell').first().dblclick()
  await page.getByRole('combobox', { name: 'What it says' }).fill('2 rounds, rest 30')
  await page.getByRole('combobox', { name: 'What it says' }).press('Enter')
  await expect(page.getByRole('row', { name: /2 rounds, rest 30 s/ })).toBeVisible()
})

test('a beginning is taken, for the groups that were chosen', async ({ page }) => {
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  await page.getByLabel('Grades K–1').uncheck()
  await page.getByRole('radio', { name: /One to ten/ }).check()
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await expect(page.getByRole('heading', { name: 'One to ten', level: 1 })).toBeVisible()
  await expect(page.getByRole('row', { name: /ladder 1-10/ })).toBeVisible()
  await expect(page.getByRole('columnheader')).toHaveCount(4)
})
