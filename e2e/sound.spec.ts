// Empty Desk: these journeys need nothing of the demo.
import { fileURLToPath } from 'node:url'
import { build, type Rollup } from 'vite'
import { expect, test } from './support/journey.ts'

declare global {
  interface Window {
    rendering: {
      render: (laps: number) => Promise<{ asked: number[]; found: number[] }>
      moments: (laps: number) => number[]
    }
  }
}

/** The player's sounds and the core behind them, as one script for a page. */
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

/** Rendered laps, of five minutes each: all laps must sound the same. */
const laps = process.env.VERIFY ? 4 : 1

test('@verify every bell is in the samples within a millisecond of its moment, for twenty minutes', async ({
  page,
}) => {
  await page.goto('about:blank')
  await page.addScriptTag({ content: await bundled() })
  const { asked, found } = await page.evaluate((n) => window.rendering.render(n), laps)
  expect(asked.length).toBeGreaterThan(40)
  expect(asked.at(-1)).toBe(laps * 300)
  expect(found).toHaveLength(asked.length)
  const worst = Math.max(...asked.map((moment, i) => Math.abs(found[i]! - moment)))
  expect(worst).toBeLessThan(0.001)

  // Four laps are one lap four times, each at its five minutes: the schedule continues as rendered.
  const [one, four] = await page.evaluate(() => [1, 4].map((n) => window.rendering.moments(n)))
  const lap = one!.filter((moment) => moment < 300)
  expect(four).toEqual([0, 1, 2, 3].flatMap((n) => lap.map((moment) => moment + n * 300)).concat(1200))
})
