import { request, type Page } from '@playwright/test'
import { at, expect } from './journey.ts'

/** The token of the latest live link of one of the demo's sessions. */
export async function tokenOf(title: string): Promise<string> {
  const baseURL = process.env.ESFUERZO_URL!
  const context = await request.newContext({
    baseURL,
    extraHTTPHeaders: { cookie: process.env.ESFUERZO_COOKIE!, origin: baseURL },
  })
  try {
    const { workouts } = await (await context.get('/api/workouts')).json()
    const { id } = workouts.find((w: { title: string }) => w.title === title)
    const { publications } = await (await context.get(`/api/workouts/${id}/publications`)).json()
    return publications.find((p: { endedAt: string | null }) => !p.endedAt).token
  } finally {
    await context.dispose()
  }
}

/** Opens one of the demo's sessions as a family does and starts a lane. */
export async function startLane(page: Page, title: string, lane: RegExp): Promise<void> {
  await page.goto(at(`/go/${await tokenOf(title)}`))
  await page.getByRole('button', { name: lane }).click()
  await expect(page.locator('.stage')).toBeVisible()
}
