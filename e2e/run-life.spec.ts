import { readFile } from 'node:fs/promises'
import type { Page } from '@playwright/test'
import { at, expect, test, playToEnd } from './support/journey.ts'
import { tokenOf, withInterface } from './support/links.ts'

/** Runs a lane to its end, three hundred times as fast as life, and stops before "Send". */
async function played(page: Page, token: string): Promise<void> {
  await page.goto(at(`/go/${token}?speed=300`))
  await page.getByRole('button', { name: /K–1/ }).click()
  await playToEnd(page)
}
const send = (page: Page) => page.getByRole('button', { name: 'Send to my teacher' }).click()

/** How many runs of the session have arrived. */
const cameBack = (title: string) =>
  withInterface(async (api) => {
    const { workouts: sessions } = await (await api.get('/api/workouts')).json()
    return sessions.find((w: { title: string }) => w.title === title).runs as number
  })

test('@verify without storage and network the page says so, offers the run as a file, and sends it while it is open', async ({
  page,
  context,
}) => {
  const token = await tokenOf('Ten gannets')
  const before = await cameBack('Ten gannets')
  await page.addInitScript(() => {
    // A private window, or a full disk.
    indexedDB.open = () => {
      throw new DOMException('no room', 'QuotaExceededError')
    }
  })
  await played(page, token)
  await context.setOffline(true)
  await send(page)
  await expect(page.getByRole('heading', { name: 'Not saved yet' })).toBeVisible()
  const download = page.waitForEvent('download')
  await page.getByRole('button', { name: 'Save as a file' }).click()
  const file = await download
  expect(file.suggestedFilename()).toMatch(/^ten-gannets-\d{4}-\d\d-\d\d-g1\.json$/)
  const run = JSON.parse(await readFile(await file.path(), 'utf8'))
  expect(run).toMatchObject({ format: 'esfuerzo.run', version: 2, group: 'g1', ended: 'whole' })
  expect(await cameBack('Ten gannets')).toBe(before)
  await context.setOffline(false)
  await expect.poll(() => cameBack('Ten gannets')).toBe(before + 1)
})

test('@verify closed while sending, opened again, sent again: one row; an unsent run waits', async ({
  page,
  context,
}) => {
  const title = 'Heron and limpet'
  const token = await tokenOf(title)
  const before = await cameBack(title)
  await played(page, token)
  // The server has it, but its answer is lost and the page is closed.
  await page.route('**/runs', async (route) => {
    await route.fetch()
    await route.abort()
  })
  await send(page)
  await expect(page.getByRole('heading', { name: 'Saved on this device' })).toBeVisible()
  expect(await cameBack(title)).toBe(before + 1)
  await page.close()
  const again = await context.newPage()
  const sent = again.waitForResponse((r) => r.url().endsWith('/runs') && r.status() === 200)
  await again.goto(at('/go/'))
  await sent
  expect(await cameBack(title)).toBe(before + 1)
  await expect(again.getByRole('heading', { name: 'Not sent yet' })).toHaveCount(0)

  // Finished, and the page closed before anything was sent.
  await played(again, token)
  await again.close()
  const later = await context.newPage()
  await later.goto(at(`/go/${token}`))
  await later.getByRole('link', { name: 'Say how it went' }).click()
  await send(later)
  await expect(later.getByRole('heading', { name: 'Sent' })).toBeVisible()
  expect(await cameBack(title)).toBe(before + 2)
})
