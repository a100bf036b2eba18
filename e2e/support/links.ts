import { request, type APIRequestContext, type Page } from '@playwright/test'
import { at, expect, teacherCookie } from './journey.ts'

/** Calls the server as this file's teacher. */
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

/** The server's answer to a request that must succeed; a temporary refusal under load is retried, and reported if it persists. */
async function answered(api: APIRequestContext, path: string) {
  let said = ''
  for (let attempt = 0; attempt < 3; attempt++) {
    const answer = await api.get(path)
    if (answer.ok()) return answer.json()
    said = `${answer.status()} ${await answer.text()}`
    await new Promise((resolve) => setTimeout(resolve, 1000))
  }
  throw new Error(`answered: ${path} was answered with ${said}`)
}

/** The token of the latest active link of one of the demo's sessions. */
export const tokenOf = (title: string): Promise<string> =>
  withInterface(async (api) => {
    const { workouts: sessions } = await answered(api, '/api/workouts')
    const { id } = sessions.find((w: { title: string }) => w.title === title)
    const { publications } = await answered(api, `/api/workouts/${id}/publications`)
    return publications.find((p: { endedAt: string | null }) => !p.endedAt).token
  })

/** Opens one of the demo's sessions as a family does and starts a lane. */
export async function startLane(page: Page, title: string, lane: RegExp): Promise<void> {
  await page.goto(at(`/go/${await tokenOf(title)}`))
  await page.getByRole('button', { name: lane }).click()
  await expect(page.locator('.stage')).toBeVisible()
}
