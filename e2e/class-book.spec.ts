import type { Page } from '@playwright/test'
import { at, expect, expectAccessible, expectNothingCut, openDesk, test } from './support/journey.ts'
import { pdfTexts } from './support/pdf.ts'

test.describe.configure({ mode: 'serial', timeout: 180_000 })

/** A class of grades 4 to 6 with a number of pupils and proposed aliases. */
async function newClass(page: Page, name: string, pupils: number): Promise<void> {
  await page.getByRole('link', { name: 'Classes' }).click()
  await page.getByRole('button', { name: 'New class' }).first().click()
  await page.getByLabel('Class name').fill(name)
  for (const grade of ['4', '5', '6']) await page.getByRole('button', { name: grade, exact: true }).click()
  await page.getByRole('button', { name: 'Create class' }).click()
  await page.getByLabel('How many').fill(String(pupils))
  await page.getByRole('button', { name: 'Suggest aliases' }).click()
  await page.getByRole('button', { name: `Add ${pupils} pupils` }).click()
  await expect(page.getByRole('heading', { name: `${pupils} pupils` })).toBeVisible()
}

/** Aliases and codes as on the printed slips. */
async function slipsOf(page: Page): Promise<{ alias: string; code: string }[]> {
  const href = await page.getByRole('link', { name: 'Print codes' }).getAttribute('href')
  const pdf = await (await page.request.get(at(href!))).body()
  const texts = await pdfTexts(pdf)
  const aliases = await page
    .getByRole('region', { name: /pupils$/ })
    .getByRole('listitem')
    .locator('b')
    .allTextContents()
  // Codes are printed in groups, and slips are in the order of their aliases.
  const codes = texts
    .map((text) => text.replace(/\s/g, ''))
    .filter((text) => /^[B-DF-HJ-NP-RTV-XZ34579]{6}$/.test(text))
  return aliases.map((alias, i) => ({ alias, code: codes[i]! }))
}

async function openBook(page: Page, name: string, session: RegExp): Promise<void> {
  await page.getByRole('link', { name: 'Classes' }).click()
  await page.getByRole('link', { name }).click()
  await page.getByRole('combobox', { name: 'Session' }).press('ArrowDown')
  // A long list only renders what is visible: scroll from its top until the session appears, then click it. An interrupted click would
  // close the list.
  const list = page.getByRole('listbox')
  const option = list.getByRole('option', { name: session }).first()
  await expect(list).toBeVisible()
  await expect(async () => {
    if (await option.isVisible()) return
    await list.evaluate((el) => {
      const end = el.scrollTop + el.clientHeight >= el.scrollHeight - 2
      el.scrollTop = end ? 0 : el.scrollTop + 200
    })
    await expect(option).toBeVisible({ timeout: 1000 })
  }).toPass()
  await option.click()
  await expect(page.getByRole('grid')).toBeVisible()
}
const cell = (page: Page, alias: string, column: RegExp) =>
  page.getByRole('row').filter({ hasText: alias }).getByRole('gridcell', { name: column })

/** A block of cells, as a spreadsheet copies it. */
const paste = (page: Page, block: string) =>
  page.evaluate((text) => {
    const clipboardData = new DataTransfer()
    clipboardData.setData('text/plain', text)
    document.activeElement!.dispatchEvent(
      new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
    )
  }, block)

test('class, slips, a run with a code on a phone, the grid fills, the rest is typed and pasted', async ({
  page,
  browser,
}) => {
  await openDesk(page)
  await newClass(page, 'Class 4 · Skuas', 4)
  await expectAccessible(page)
  await expectNothingCut(page)
  const slips = await slipsOf(page)
  expect(new Set(slips.map((s) => s.code)).size).toBe(4)

  await page.getByRole('link', { name: 'Desk' }).click()
  const sent = page.getByRole('region', { name: 'Sent home' }).getByRole('listitem').filter({ hasText: 'Ten gannets' })
  await sent.getByRole('link', { name: /\d results?$/ }).click()
  const href = (await page.locator('a.address').first().getAttribute('href'))!

  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true })
  const family = await phone.newPage()
  await family.goto(`${href}?speed=60`)
  await family.getByRole('button', { name: 'I have a code' }).click()
  await family.getByLabel('Your code (6 letters and numbers)').fill('BBBBBB')
  await family.getByRole('button', { name: "That's me" }).click()
  await expect(family.getByText("That code isn't right.")).toBeVisible()
  const { alias, code } = slips[1]!
  await family.getByLabel('Your code (6 letters and numbers)').fill(code.toLowerCase())
  await family.getByRole('button', { name: "That's me" }).click()
  await expect(family.getByText(`Your results are saved for ${alias}.`)).toBeVisible()
  await expect(family.getByText(`Your teacher gets it under the alias ${alias}, without a name.`)).toBeVisible()
  await expectAccessible(family)
  await expectNothingCut(family)
  await family.getByRole('button', { name: /Grades 4–6/ }).click()
  // A few steps are enough: a result is reported, and an early end needs no reason.
  await family.getByTestId('digits').waitFor()
  for (let i = 0; i < 3; i++) await family.getByRole('button', { name: 'Skip' }).click()
  await family.getByRole('button', { name: 'Stop' }).click()
  await family.getByRole('textbox', { name: /Jumping jack, lap 1/ }).fill('21')
  await family.locator('.felt label').nth(4).click()
  await family.getByRole('button', { name: 'Send to my teacher' }).click()
  await expect(family.getByRole('heading', { name: 'Sent' })).toBeVisible()
  // The device remembers its own numbers, and nobody else's are on it.
  await family.goto(href)
  await expect(family.getByRole('button', { name: alias })).toHaveAttribute('aria-pressed', 'true')
  await expect(family.getByRole('button', { name: slips[0]!.alias })).toHaveCount(0)

  await page.goto(at('/'))
  await openBook(page, 'Class 4 · Skuas', /Ten gannets/)
  await expect(cell(page, alias, /Jumping jack.*, 21, sent by the child/)).toBeVisible()
  await expect(cell(page, alias, /How hard it felt.*, 4, sent by the child/)).toBeVisible()
  await expectAccessible(page)
  await expectNothingCut(page)

  // From paper, by keyboard; then a block from a spreadsheet, undone and redone.
  await cell(page, slips[0]!.alias, /Jumping jack/)
    .first()
    .click()
  await page.keyboard.type('18')
  await page.keyboard.press('Enter')
  await expect(cell(page, slips[0]!.alias, /Jumping jack.*, 18, typed in/)).toBeVisible()
  await cell(page, slips[2]!.alias, /Jumping jack/)
    .first()
    .click()
  await paste(page, '11\t12\n13\t14\n')
  await expect(cell(page, slips[3]!.alias, /Jumping jack, lap 1.*, 13, typed in/)).toBeVisible()
  await page.keyboard.press('Control+z')
  await expect(cell(page, slips[3]!.alias, /Jumping jack, lap 1.*, no results yet/)).toBeVisible()
  await page.keyboard.press('Control+Shift+z')
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.reload()
  await expect(cell(page, slips[3]!.alias, /Jumping jack, lap 1.*, 13, typed in/)).toBeVisible()
  await phone.close()
})

test('@verify a class of twenty-four by six from paper, at a person’s pace: one extra key per value', async ({
  page,
}) => {
  await openDesk(page)
  await newClass(page, 'Class 6 · Plovers', 24)
  await openBook(page, 'Class 6 · Plovers', /Storm-day springs/)
  let keys = 0
  const press = async (key: string) => {
    keys++
    await page.keyboard.press(key, { delay: 15 })
  }
  const value = (row: number, column: number) => String(10 + ((row * 7 + column * 3) % 9))
  await page.locator('#cell-0-0').click()
  for (let row = 0; row < 24; row++) {
    for (let column = 0; column < 6; column++) {
      for (const digit of value(row, column)) await press(digit)
      await press(column < 5 ? 'Tab' : 'Enter')
    }
  }
  expect(keys).toBe(24 * 6 * 3)
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.reload()
  await expect(page.getByRole('grid')).toBeVisible()
  const stored = await page.evaluate(async () => {
    const [, classId] = /classes\/([^/?]+)/.exec(location.href)!
    const { sessions } = await (await fetch(`/api/classes/${classId}/sessions`)).json()
    const full = sessions.find((s: { pupils: number }) => s.pupils === 24)
    return (await (await fetch(`/api/classes/${classId}/results/${full.id}`)).json()) as {
      entries: { value: number }[]
    }
  })
  const typed = Array.from({ length: 24 }, (_, row) =>
    Array.from({ length: 6 }, (_c, column) => Number(value(row, column))),
  )
  expect(stored.entries.map((e) => e.value).sort()).toEqual(typed.flat().sort())
})

test('two tabs do not overwrite each other; typing while the server is away stays on screen and is sent later', async ({
  page,
  context,
}) => {
  await openDesk(page)
  await newClass(page, 'Class 8 · Turnstones', 4)
  await openBook(page, 'Class 8 · Turnstones', /Lighthouse stairs/)
  const other = await context.newPage()
  await other.goto(page.url())
  await expect(other.getByRole('grid')).toBeVisible()
  await page.locator('#cell-0-0').click()
  await page.keyboard.type('9')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  // The other tab has not seen it.
  await other.locator('#cell-1-0').click()
  await other.keyboard.type('7')
  await other.keyboard.press('Shift+Enter')
  await other.keyboard.type('8')
  await other.keyboard.press('Enter')
  await expect(other.getByText('You typed 8. In another place 9 was entered.')).toBeVisible()
  await other.getByRole('button', { name: 'Use mine' }).click()
  await expect(other.getByText('meanwhile 9')).toHaveCount(0)
  await expect(other.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  await page.evaluate(() => window.dispatchEvent(new Event('focus')))
  await expect(page.locator('#cell-0-0')).toHaveAttribute('aria-label', /, 8, typed in/)
  await expect(page.locator('#cell-1-0')).toHaveAttribute('aria-label', /, 7, typed in/)

  await page.route('**/results/*', (route) => route.abort())
  await page.locator('#cell-2-0').click()
  await page.keyboard.type('5')
  await page.keyboard.press('Enter')
  await expect(page.getByText('Your entries are kept on this device')).toBeVisible()
  await expect(page.locator('#cell-2-0')).toContainText('5')
  // Even if the page is closed meanwhile.
  await page.unroute('**/results/*')
  await page.reload()
  await expect(page.locator('#cell-2-0')).toHaveAttribute('aria-label', /, 5, typed in/)
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
})

test('@verify an impossible value is refused, an unlikely one is questioned, and both stay as typed', async ({
  page,
}) => {
  await openDesk(page)
  await openBook(page, 'Class 6 · Plovers', /Ten gannets/)
  await page.locator('#cell-0-0').click()
  await page.keyboard.type('9999')
  await page.keyboard.press('Tab')
  await page.keyboard.type('twelve')
  await page.keyboard.press('F2')
  await page.keyboard.press('Escape')
  await expect(page.getByText(/9999 is too large/)).toBeVisible()
  await expect(page.locator('#cell-0-0')).toContainText('9999')
  await expectAccessible(page)
  await page.getByRole('button', { name: 'Undo' }).click()
  await expect(page.locator('#cell-0-0')).toHaveText('')
})

test('@verify results are exported as CSV and Excel and imported again unchanged', async ({ page }) => {
  await openDesk(page)
  await openBook(page, 'Class 8 · Turnstones', /Storm-day springs/)
  await page.locator('#cell-0-0').click()
  await paste(page, '10\t11\t12\t13\t14\t15\n'.repeat(4))
  await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  const files: string[] = []
  for (const name of ['CSV file', 'Excel file']) {
    await page.getByRole('button', { name: 'Export results' }).click()
    const download = page.waitForEvent('download')
    await page.getByText(name).click()
    files.push(await (await download).path())
  }
  await openBook(page, 'Class 8 · Turnstones', /Storm-day springs/)
  for (const [i, file] of files.entries()) {
    await page.locator('#cell-0-0').click()
    await page.keyboard.press('Control+a')
    await page.keyboard.press('Delete')
    await expect(page.locator('#cell-3-2')).toHaveText('')
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
    await page.getByRole('button', { name: 'Import results' }).click()
    const chooser = page.waitForEvent('filechooser')
    await page.getByRole('button', { name: 'Choose a file' }).click()
    await (
      await chooser
    ).setFiles({
      name: i ? 'book.xlsx' : 'book.csv',
      mimeType: 'application/octet-stream',
      buffer: (await import('node:fs')).readFileSync(file),
    })
    await expect(page.getByText('24 values')).toBeVisible()
    if (i === 0) await expectAccessible(page, undefined, '.v-overlay-container')
    await page.getByRole('dialog').getByRole('button', { name: 'Import results' }).click()
    await expect(page.locator('#cell-3-2')).toHaveAttribute('aria-label', /, 1\d, imported/)
    await expect(page.getByRole('status').filter({ hasText: 'Saved' })).toBeVisible()
  }
})
