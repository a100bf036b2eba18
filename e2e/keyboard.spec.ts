// Empty Desk: these journeys need nothing of the demo.
import { at, expect, laneTotal, test, playToEnd } from './support/journey.ts'
import { keysOf } from './support/keys.ts'
import { password, teacherOf } from './support/teacher.ts'

test.describe.configure({ timeout: 180_000 })

test('@verify the whole job is done by keyboard alone: from the sign-in to a child’s run on the Desk', async ({
  page,
  browser,
}) => {
  const { type, press, until } = keysOf(page)

  await page.goto(at('/'))
  await expect(page.getByLabel('E-mail')).toBeFocused()
  await type(teacherOf(test.info().file))
  await press('Tab')
  await type(password)
  await press('Enter')
  await expect(page.getByRole('heading', { name: /Welcome back/ })).toBeVisible()
  await until(page.getByRole('button', { name: 'New session', exact: true }))
  await press('Enter')
  await expect(page.getByLabel('Session name')).toBeFocused()
  await type('By keys alone')
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'By keys alone' })).toBeVisible()

  // Exercises are inserted below the cursor as they are typed; the line stays open for the next.
  const order = page.getByRole('grid', { name: 'Running order' })
  const row = (name: string | RegExp) => order.getByRole('row', { name })
  await until(order)
  await press('Home', 'Enter')
  await expect(page.getByRole('combobox', { name: 'Add exercises below' })).toBeFocused()
  for (const line of ['march 30 s', 'arm circles 10']) {
    await type(line)
    await press('Enter')
  }
  await press('Escape')
  await expect(row('Arm circles')).toHaveAttribute('aria-selected', 'true')

  // Three laps of 30/30; 30/25 for grades 2–3, 40/25 for grades 4–6, typed into their cells.
  await press('ArrowDown', 'Enter')
  for (const move of ['pogo', 'squat jump', 'one-leg stand', 'lunge']) {
    await type(move)
    await press('Enter')
  }
  await press('Escape')
  for (let i = 0; i < 4; i++) await press('ArrowUp')
  await expect(row('Main part')).toHaveAttribute('aria-selected', 'true')
  const main = row('Main part').getByRole('gridcell')
  // All share one cell, so the first group's own is made in the panel behind E.
  await press('e')
  await until(page.getByRole('button', { name: /Only B/ }))
  await press('Enter')
  const rest = page.getByLabel('Rest', { exact: true })
  await until(rest)
  await press('ArrowDown')
  await expect(rest).toHaveValue('25')
  await press('Escape')
  await expect(main).toHaveCount(5)
  await press('ArrowRight', 'ArrowRight', 'ArrowRight', 'F2')
  await type('3 laps 40/25')
  await press('Enter')
  await expect(main.nth(4)).toContainText('40 / 25')
  await expect(main.nth(2)).toContainText('30 / 30')
  await expect(main.nth(3)).toContainText('30 / 25')

  // Another version for grades 4–6, with reps recorded.
  while (
    !(await row(/Squat jump/)
      .getAttribute('aria-selected')
      .then((v) => v === 'true'))
  )
    await press('ArrowDown')
  await press('Alt+ArrowRight')
  await expect(row(/Squat jump/)).toContainText('Jump and draw your knees up')
  await press('e')
  await until(page.getByLabel('Children record their reps'))
  await press('Space', 'Escape')

  // The row is moved up and down, duplicated, removed, restored.
  await press('Alt+ArrowUp', 'Alt+ArrowDown', 'd')
  await expect(row(/Squat jump/)).toHaveCount(2)
  await press('Delete')
  await expect(row(/Squat jump/)).toHaveCount(1)
  await press('Control+z')
  await expect(row(/Squat jump/)).toHaveCount(2)
  await press('Control+z')
  await expect(row(/Squat jump/)).toHaveCount(1)

  await press('End', '/')
  await expect(page.getByRole('combobox', { name: 'Find an exercise' })).toBeFocused()
  await type('butterfly')
  await press('Enter', 'Escape')

  // As in the journey by mouse, except for the march of 30 s: A 8 − 8 + 30 …
  //   A: 30 + 1 + 25 + 720 + 10 = 786   B: 30 + 1 + 22 + 660 + 10 = 723   C: 30 + 1 + 20 + 780 + 20 = 851
  await expect(laneTotal(page, 'A')).toHaveText('13:06')
  await expect(laneTotal(page, 'B')).toHaveText('12:03')
  await expect(laneTotal(page, 'C')).toHaveText('14:11')
  await press('?')
  const sheet = page.getByRole('dialog', { name: 'Keyboard shortcuts' })
  await expect(sheet).toBeVisible()
  await expect(async () => {
    await press('Escape')
    await expect(sheet).toHaveCount(0)
  }).toPass()
  await expect(page.getByTestId('save-mark')).toHaveText('saved')

  await until(page.getByRole('button', { name: 'Send home' }), 'Shift+Tab')
  await press('Enter')
  await expect(page.getByRole('heading', { name: 'Send home: By keys alone' })).toBeVisible()
  await until(page.getByRole('button', { name: 'Create link' }))
  await press('Enter')
  const href = (await page.locator('a.address').getAttribute('href'))!

  const context = await browser.newContext()
  const child = await context.newPage()
  const keys = keysOf(child)
  await child.goto(`${href}?speed=300`)
  await expect(child.getByRole('heading', { name: 'By keys alone' })).toBeVisible()
  await keys.until(child.getByRole('button', { name: /Grades 4–6/ }))
  await keys.press('Enter')
  await expect(child.getByTestId('digits')).toBeVisible()
  await keys.press('Space')
  await expect(child.getByText('Paused')).toBeVisible()
  await keys.press('Space', 'ArrowRight')
  await playToEnd(child)
  await keys.until(child.getByRole('radio', { name: '5', exact: true }).or(child.getByRole('radio').first()))
  await keys.press('ArrowRight')
  await keys.until(child.getByLabel('Tuck jump, lap 1'))
  await keys.type('14')
  await keys.until(child.getByRole('button', { name: 'Send to my teacher' }))
  await keys.press('Enter')
  await expect(child.getByRole('heading', { name: 'Sent' })).toBeVisible()
  await context.close()

  await page.goto(at('/'))
  const back = page.getByRole('region', { name: 'Results from home' }).getByRole('listitem').first()
  await expect(back).toContainText('By keys alone')
  await expect(back).toContainText('Tuck jump 14')
})
