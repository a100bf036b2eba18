import type { Locator, Page } from '@playwright/test'
import { at, expect, openDesk, test } from './support/journey.ts'

test.describe.configure({ timeout: 240_000 })

const dialog = (page: Page, name: string) => page.getByRole('dialog', { name })

/** Opens something by keyboard and closes it by Esc: the focus goes in and comes back to its opener. */
async function opensAndGivesBack(page: Page, opener: Locator, inside: Locator, key = 'Enter') {
  await opener.focus()
  await page.keyboard.press(key)
  await expect(inside).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(inside).toHaveCount(0)
  await expect(opener).toBeFocused()
}

test('@verify every dialog and panel takes the focus, keeps it and gives it back', async ({ page }) => {
  await openDesk(page)
  const button = (name: string | RegExp) => page.getByRole('button', { name, exact: true })

  await opensAndGivesBack(page, button('New session'), page.getByLabel('Session name'))
  await opensAndGivesBack(page, button('Paste a plan'), page.getByLabel('Your plan', { exact: true }))
  await opensAndGivesBack(page, button('Help'), page.getByRole('heading', { name: 'Help', exact: true }))
  const bad = { name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from('{') }
  const choosing = page.waitForEvent('filechooser')
  await button('Import files').focus()
  await page.keyboard.press('Enter')
  await (await choosing).setFiles(bad)
  const closes = page.getByRole('dialog').getByRole('button', { name: 'Close' })
  await expect(closes).toBeFocused()
  await page.keyboard.press('Tab')
  // Nothing else in there: the focus stays inside.
  await expect(closes).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(button('Import files')).toBeFocused()

  // A new session starts in the warm-up.
  await button('New session').focus()
  await page.keyboard.press('Enter')
  await page.keyboard.type('Focus first')
  await page.keyboard.press('Enter')
  const order = page.getByRole('grid', { name: 'Running order' })
  await expect(order.locator('[tabindex="0"]')).toBeFocused()
  await expect(order.getByRole('row', { selected: true })).toBeVisible()
  await page.goto(at('/'))
  await page
    .getByRole('region', { name: 'Sent home' })
    .getByRole('link', { name: /Storm-day springs/ })
    .click()
  await expect(order).toBeVisible()

  await opensAndGivesBack(
    page,
    button('Goals, groups, home').last(),
    dialog(page, 'Goals, groups, home').getByRole('textbox').first(),
  )
  await opensAndGivesBack(
    page,
    button('Earlier versions'),
    dialog(page, 'Earlier versions').getByRole('button', { name: 'Close' }),
  )
  await opensAndGivesBack(
    page,
    button('Keyboard shortcuts'),
    dialog(page, 'Keyboard shortcuts').getByRole('button', { name: 'Close' }),
  )
  await page.getByRole('tab', { name: 'Saved' }).click()
  await opensAndGivesBack(
    page,
    button('Add another session'),
    dialog(page, 'Add another session').getByRole('checkbox'),
  )

  // Tools in the panel: from the row they were opened on, and back to it.
  const cell = order.getByRole('gridcell', { name: 'Springs', exact: true })
  await cell.click()
  for (const [key, title] of [
    ['m', 'Fit the planned minutes'],
    ['a', 'Arrange the stations'],
  ] as const)
    await opensAndGivesBack(page, cell, page.getByRole('heading', { name: title }), key)
  await cell.focus()
  await page.keyboard.press('?')
  await expect(dialog(page, 'Keyboard shortcuts').getByRole('button', { name: 'Close' })).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(cell).toBeFocused()

  // One group's step: a preview where its button was.
  await page.keyboard.press('g')
  await page.keyboard.press('e')
  const easier = button('Make A easier')
  await easier.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('region', { name: 'Make A easier' }).getByRole('radio').first()).toBeFocused()
  await button('Cancel').press('Enter')
  await expect(easier).toBeFocused()

  await page.goto(at('/classes'))
  await page.getByRole('main').getByRole('link').first().click()
  await opensAndGivesBack(page, button('Import results'), dialog(page, 'Import results').getByRole('textbox').first())
  await page.getByRole('tab', { name: 'Pupils' }).click()
  const edit = page.getByRole('button', { name: /^Edit / }).first()
  await edit.focus()
  await page.keyboard.press('Enter')
  await expect(page.getByRole('dialog').getByLabel('Alias')).toBeFocused()
  await page.keyboard.press('Escape')
  await expect(edit).toBeFocused()
})
