import { fileURLToPath } from 'node:url'
import { build, type Rollup } from 'vite'
import { expect, test } from './support/journey.ts'
import { startLane } from './support/links.ts'

/** What a page remembers of its sounds: each as it is put on the audio clock. */
interface Heard {
  sounds: { when: number; now: number; hz: number }[]
  context: AudioContext | undefined
}
declare global {
  interface Window {
    heard: Heard
    rendering: { render: () => Promise<{ asked: number[]; found: number[] }> }
  }
}

/** The player's sounds and the computation behind them, as one script for a page. */
async function bundled(): Promise<string> {
  const entry = fileURLToPath(new URL('./support/renderInPage.ts', import.meta.url))
  const output = await build({
    logLevel: 'error',
    configFile: false,
    build: { write: false, minify: false, lib: { entry, formats: ['iife'], name: 'rendering' } },
  })
  const [first] = [output].flat() as Rollup.RollupOutput[]
  return `${first!.output[0].code}\nwindow.rendering = rendering`
}

test('every bell of twenty minutes is found in the samples within a millisecond of its moment', async ({ page }) => {
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundled() })
  const { asked, found } = await page.evaluate(() => window.rendering.render())
  expect(asked.length).toBeGreaterThan(150)
  expect(asked.at(-1)).toBe(1200)
  expect(found).toHaveLength(asked.length)
  const worst = Math.max(...asked.map((moment, i) => Math.abs(found[i]! - moment)))
  expect(worst).toBeLessThan(0.001)
})

test('for a minute with the page blocked again and again, bells are on schedule and no digit is behind', async ({
  page,
}) => {
  await page.addInitScript(() => {
    window.heard = { sounds: [], context: undefined }
    const { start } = OscillatorNode.prototype
    OscillatorNode.prototype.start = function (when = 0) {
      window.heard.context = this.context as AudioContext
      window.heard.sounds.push({ when, now: this.context.currentTime, hz: Math.round(this.frequency.value) })
      start.call(this, when)
    }
  })
  await startLane(page, 'Storm-day springs', /4–6/)
  // On to the first slot of work against the clock, and to its start.
  const skip = page.getByRole('button', { name: 'Skip' })
  for (let i = 0; i < 30 && !(await page.getByText('lap 1 of 3').isVisible()); i++) await skip.click()
  await page.waitForTimeout(3500)
  await page.getByRole('button', { name: 'Back' }).click()

  const seen = await page.evaluate(async () => {
    const context = window.heard.context!
    const began = context.currentTime
    const bells = () => window.heard.sounds.filter((s) => s.hz === 880 || s.hz === 587).map((s) => s.when)
    const behind: string[] = []
    const frame = () => new Promise((resolve) => requestAnimationFrame(resolve))
    while (context.currentTime - began < 60) {
      const until = performance.now() + 200
      while (performance.now() < until);
      const free = context.currentTime
      await frame()
      await frame()
      const now = context.currentTime
      // Where the step that is on ends: the next bell on the clock.
      const end = bells()
        .sort((a, b) => a - b)
        .find((when) => when > now)
      const digits = Number(document.querySelector('[data-testid=digits]')!.textContent)
      if (end !== undefined && end - now < 14) {
        // Of a moment since the page was free again, however slow the machine draws.
        const [least, most] = [Math.ceil(end - now - 0.05), Math.ceil(end - free + 0.05)]
        if (digits < least || digits > most) behind.push(`${digits}, not ${least} to ${most}`)
      }
      await new Promise((resolve) => setTimeout(resolve, 150))
    }
    return { began, behind, sounds: window.heard.sounds }
  })
  expect(seen.behind).toEqual([])
  const planned = seen.sounds.filter((s) => s.when > seen.began + 1.5 && s.now >= seen.began)
  expect(planned.length).toBeGreaterThan(8)
  for (const { when, now } of planned) expect(when - now).toBeGreaterThan(1)
  // 40 s of work, 25 s of rest: bells are whole steps apart.
  const bells = planned.filter((s) => s.hz === 880 || s.hz === 587).map((s) => s.when)
  const whens = [...new Set(bells.map((when) => when.toFixed(6)))].map(Number).sort((a, b) => a - b)
  expect(whens.length).toBeGreaterThan(1)
  for (const [i, when] of whens.slice(1).entries())
    expect([25, 40].some((seconds) => Math.abs(when - whens[i]! - seconds) < 0.001)).toBe(true)

  // Sound taken away: the run stands, and goes on from the same second.
  const digits = page.getByTestId('digits')
  await page.evaluate(() => window.heard.context!.suspend())
  await expect(page.getByText('Paused')).toBeVisible()
  const stood = await digits.textContent()
  await page.waitForTimeout(2500)
  await expect(digits).toHaveText(stood!)
  await page.getByRole('button', { name: 'Go on' }).click()
  await expect(page.getByText('Paused')).toHaveCount(0)
  await expect(digits).not.toHaveText(stood!)
})
