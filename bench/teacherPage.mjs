import { needChromium, needPostgres } from '../scripts/machine.mjs'
import { startStack } from '../scripts/stack.mjs'

/** A complete Esfuerzo with the demo's teacher at her Desk, in a browser of its own. */
export async function openTeacherPage() {
  needPostgres()
  const executablePath = needChromium()
  const { chromium } = await import('@playwright/test')
  const stack = await startStack('bench')
  const browser = await chromium.launch({
    executablePath,
    args: ['--no-sandbox', '--disable-background-networking', '--disable-component-update', '--no-first-run'],
  })
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
  const page = await context.newPage()
  await page.goto(stack.url)
  await page.getByLabel('E-mail').fill('marisol@island.example')
  await page.getByLabel('Password').fill('ferry-on-monday')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('heading', { name: 'Sent home' }).waitFor()
  const close = async () => {
    await browser.close()
    await stack.stop()
  }
  return { page, context, url: stack.url, close }
}
