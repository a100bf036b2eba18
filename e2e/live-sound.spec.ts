import { at, expect, test } from './support/journey.ts'
import { withInterface } from './support/links.ts'

/** The page's record of its sounds: each as it is scheduled on the audio clock. */
interface Heard {
  sounds: { when: number; now: number; hz: number }[]
  context: AudioContext | undefined
}
declare global {
  interface Window {
    heard: Heard
  }
}

/** The link of a session with three-second slots, so that many bells ring in little time. */
const shortSlots = () =>
  withInterface(async (api) => {
    const { workouts: sessions } = await (await api.get('/api/workouts')).json()
    const { id } = sessions.find((w: { title: string }) => w.title === 'Storm-day springs')
    const { document } = await (await api.get(`/api/workouts/${id}`)).json()
    const clocked = document.sections
      .flatMap((s: { blocks: { form: string; laps: unknown; lapRest?: unknown }[] }) => s.blocks)
      .filter((b: { form: string }) => b.form === 'intervals')
    for (const block of clocked) {
      block.laps = { all: Array.from({ length: 20 }, () => ({ work: 3, rest: 3 })) }
      delete block.lapRest
    }
    const made = await (await api.post('/api/workouts', { data: { document } })).json()
    const sent = await api.post(`/api/workouts/${made.id}/publications`, { data: { revision: 1, days: 7 } })
    return (await sent.json()).token as string
  })

/** How long to listen. */
const seconds = 60

test('with the page blocked repeatedly, bells are on schedule and no digit is late', async ({ page }) => {
  await page.addInitScript(() => {
    window.heard = { sounds: [], context: undefined }
    const { start } = OscillatorNode.prototype
    OscillatorNode.prototype.start = function (when = 0) {
      window.heard.context = this.context as AudioContext
      window.heard.sounds.push({ when, now: this.context.currentTime, hz: Math.round(this.frequency.value) })
      start.call(this, when)
    }
  })
  await page.goto(at(`/go/${await shortSlots()}`))
  await page.getByRole('button', { name: /4–6/ }).click()
  await expect(page.locator('.stage')).toBeVisible()
  // Skip to the first slot of timed work.
  const skip = page.getByRole('button', { name: 'Skip' })
  for (let i = 0; i < 30 && !(await page.getByText('lap 1 of 20').isVisible()); i++) await skip.click()
  // Sounds scheduled before a skip were cancelled but are in the record: from here on everything is scheduled again.
  await page.getByRole('button', { name: 'Pause' }).click()
  await page.evaluate(() => void (window.heard.sounds.length = 0))
  await page.getByRole('button', { name: 'Continue' }).click()

  const seen = await page.evaluate(async (seconds) => {
    const context = window.heard.context!
    const began = context.currentTime
    const bells = () => window.heard.sounds.filter((s) => s.hz === 880 || s.hz === 587).map((s) => s.when)
    const behind: string[] = []
    const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
    while (context.currentTime - began < seconds) {
      const until = performance.now() + 200
      while (performance.now() < until);
      const free = context.currentTime
      await frame()
      await frame()
      const now = context.currentTime
      // Where the current step ends: the next bell on the clock.
      const end = bells()
        .sort((a, b) => a - b)
        .find((when) => when > now)
      const digits = Number(document.querySelector('[data-testid=digits]')!.textContent)
      if (end !== undefined && end - now < 14) {
        // Measured from the moment the page was free again, however slowly the machine draws.
        const [least, most] = [Math.ceil(end - now - 0.05), Math.ceil(end - free + 0.05)]
        if (digits < least || digits > most) behind.push(`${digits}, not ${least} to ${most}`)
      }
      await new Promise((resolve) => setTimeout(resolve, 150))
    }
    return { began, behind, sounds: window.heard.sounds }
  }, seconds)
  expect(seen.behind).toEqual([])
  const planned = seen.sounds.filter((s) => s.when > seen.began + 1.5 && s.now >= seen.began)
  expect(planned.length).toBeGreaterThan(4)
  for (const { when, now } of planned) expect(when - now).toBeGreaterThan(1)
  // Three seconds of work, three of rest: bells are whole steps apart.
  const bells = planned.filter((s) => s.hz === 880 || s.hz === 587).map((s) => s.when)
  const whens = [...new Set(bells.map((when) => when.toFixed(6)))].map(Number).sort((a, b) => a - b)
  expect(whens.length).toBeGreaterThan(1)
  for (const [i, when] of whens.slice(1).entries()) expect(Math.abs(when - whens[i]! - 3) < 0.001).toBe(true)

  // Audio interrupted: the run pauses, and continues from the same second.
  const digits = page.getByTestId('digits')
  await page.evaluate(() => window.heard.context!.suspend())
  await expect(page.getByText('Paused')).toBeVisible()
  const stood = await digits.textContent()
  await page.waitForTimeout(2500)
  await expect(digits).toHaveText(stood!)
  await page.getByRole('button', { name: 'Continue' }).click()
  await expect(page.getByText('Paused')).toHaveCount(0)
  await expect(digits).not.toHaveText(stood!)
})
