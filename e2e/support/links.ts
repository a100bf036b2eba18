import { request, type APIRequestContext, type Page } from '@playwright/test'
import { at, expect, teacherCookie } from './journey.ts'

/** Asks the server as this file's teacher. */
export async function withInterface<T>(ask: (api: APIRequestContext) => Promise<T>): Promise<T> {
  const baseURL = process.env.ESFUERZO_URL!
  const context = await request.newContext({
    baseURL,
    extraHTTPHeaders: { cookie: await teacherCookie(), origin: baseURL },
  })
  try {
    return await ask(context)
  } finally {
    await context.dispose()
  }
}

/** The token of the latest live link of one of the demo's sessions. */
export const tokenOf = (title: string): Promise<string> =>
  withInterface(async (api) => {
    const { workouts } = await (await api.get('/api/workouts')).json()
    const { id } = workouts.find((w: { title: string }) => w.title === title)
    const { publications } = await (await api.get(`/api/workouts/${id}/publications`)).json()
    return publications.find((p: { endedAt: string | null }) => !p.endedAt).token
  })

/** Opens one of the demo's sessions as a family does and starts a lane. */
export async function startLane(page: Page, title: string, lane: RegExp): Promise<void> {
  await page.goto(at(`/go/${await tokenOf(title)}`))
  await page.getByRole('button', { name: lane }).click()
  await expect(page.locator('.stage')).toBeVisible()
}
