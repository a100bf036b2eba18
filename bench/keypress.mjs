// From a key press to the painted change, with the 60-station, 6-group session in the composer, beside an empty page that changes one
// letter. Both in one browser, turn by turn.
import { openTeacherPage } from './teacherPage.mjs'
import { readFileSync } from 'node:fs'
import { at } from './share.mjs'

const document60 = JSON.parse(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))

const presses = 60

/** Records for each press how long it took until the frame that shows it was handed over. */
const watchPresses = () => {
  window.presses = []
  addEventListener(
    'keydown',
    (event) => {
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = () => window.presses.push(performance.now() - event.timeStamp)
        port2.postMessage(0)
      })
    },
    { capture: true },
  )
}
/** A fixed piece of arithmetic that shows the machine's current speed. @returns milliseconds */
function yardstick() {
  const start = performance.now()
  let sum = 0
  for (let i = 0; i < 20_000_000; i++) sum = (sum * 31 + i) % 1_000_003
  return sum < 0 ? 0 : performance.now() - start
}
const before = yardstick()
const { page, context, url, close } = await openTeacherPage()
try {
  const id = await page.evaluate(async (document) => {
    const answer = await fetch('/api/workouts', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ document }),
    })
    return (await answer.json()).id
  }, document60)
  await page.goto(`${url}/sessions/${id}`)
  await page.getByRole('grid').waitFor()
  await page.locator('.row.station .cell').first().click()

  const empty = await context.newPage()
  await empty.setContent('<p id="p">0</p>')
  await empty.evaluate(() =>
    addEventListener('keydown', () => (document.getElementById('p').textContent = String(Math.random()))),
  )
  for (const p of [page, empty]) await p.evaluate(watchPresses)
  // The browser's report on its main thread, in milliseconds since it started.
  const session = await context.newCDPSession(page)
  await session.send('Performance.enable')
  const spent = async () => {
    const { metrics } = await session.send('Performance.getMetrics')
    const milliseconds = (name) => 1000 * (metrics.find((m) => m.name === name)?.value ?? 0)
    return {
      script: milliseconds('ScriptDuration'),
      style: milliseconds('RecalcStyleDuration'),
      layout: milliseconds('LayoutDuration'),
      all: milliseconds('TaskDuration'),
    }
  }
  const parts = { script: 0, style: 0, layout: 0, all: 0 }

  /** In turns: presses on one page, then as many on the other. The first round only warms up. */
  async function turns(title, keys, apart = 60) {
    const times = { composer: [], empty: [] }
    for (const part in parts) parts[part] = 0
    for (let round = 0; round < 5; round++) {
      for (const [name, p] of [
        ['composer', page],
        ['empty', empty],
      ]) {
        await p.bringToFront()
        await p.evaluate(() => (window.presses = []))
        const from = await spent()
        for (let i = 0; i < presses / 4; i++) {
          await p.keyboard.press(keys[i % keys.length])
          await p.waitForTimeout(apart)
        }
        const to = await spent()
        if (round > 0 && p === page) for (const part in parts) parts[part] += (to[part] - from[part]) / presses
        if (round > 0) times[name].push(...(await p.evaluate(() => window.presses)))
      }
    }
    const line = (name) => `${at(times[name], 0.5).toFixed(1)} ms (95 %: ${at(times[name], 0.95).toFixed(1)} ms)`
    console.log(`${title} → painted, 60 stations × 6 groups:  ${line('composer')}, ${times.composer.length} presses`)
    console.log(`${title} → painted, an empty page:           ${line('empty')}`)
    console.log(`composer ÷ empty page: ${(at(times.composer, 0.5) / at(times.empty, 0.5)).toFixed(2)}`)
    const { script, style, layout, all } = parts
    const rest = all - script - style - layout
    console.log(
      `of the main thread a press: script ${script.toFixed(1)}, style ${style.toFixed(1)}, layout ${layout.toFixed(1)}, paint and the rest ${rest.toFixed(1)} ms`,
    )
  }
  await turns('key press', ['-', '+'])
  const now = yardstick()
  console.log(`yardstick (20 million steps of arithmetic): ${before.toFixed(0)} ms before, ${now.toFixed(0)} ms after`)
  const rows = await page.locator('.row').count()
  const count = await page.getByRole('grid').getAttribute('aria-rowcount')
  console.log(
    `rows drawn: ${rows} of ${count}; elements in a lane: ${await page.locator('.strip').first().locator('svg *').count()}`,
  )

  // A letter typed in the text panel appears at once; the line is read in the pause that follows.
  await page.bringToFront()
  await page.locator('.row.station .name').first().click()
  await page.keyboard.press('w')
  await page.locator('.cm-line', { hasText: /^## / }).last().click()
  await page.keyboard.press('End')
  await turns('letter in the text', ['x', 'Backspace'])
  await turns('letter in the text and the pause after it', ['x', 'Backspace'], 400)
} finally {
  await close()
}
