// Empty Desk: these journeys need nothing of the demo.
import { addMove, expect, newSession, openDesk, test } from './support/journey.ts'

test('edits in two tabs are both kept', async ({ page, context }) => {
  await openDesk(page)
  await newSession(page, 'In two tabs')
  await page.getByRole('gridcell', { name: 'Main part', exact: true }).click()
  await addMove(page, 'squat')
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  const other = await context.newPage()
  await other.goto(page.url())
  await addMove(other, 'jog')
  await expect(other.getByTestId('save-mark')).toHaveText('saved')
  await addMove(page, 'crab')
  await expect(page.getByTestId('save-mark')).toContainText('Both versions are kept')
  await page.getByRole('button', { name: 'Keep both versions' }).click()
  await expect(page.getByRole('heading', { name: 'In two tabs (my copy)' })).toBeVisible()
  await expect(page.getByRole('row', { name: 'Crab walk' })).toBeVisible()
  await other.reload()
  await expect(other.getByRole('row', { name: 'Jog on the spot' })).toBeVisible()
  await expect(other.getByRole('row', { name: 'Crab walk' })).toHaveCount(0)
})
