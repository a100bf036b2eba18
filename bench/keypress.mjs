// From a key press to the painted change, with the 60-station, 6-group session in the composer, beside an empty page
// that changes one letter. Both in one browser, turn by turn.
import { openTeacherPage } from './teacherPage.mjs'
import { readFileSync } from 'node:fs'
import { at } from './share.mjs'

const document60 = JSON.parse(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))

const presses = 60

/** Notes for each press how long it took until the frame that shows it was handed over. */
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

  // Turn by turn: presses to the one page, then as many to the other. The first round only warms up.
  const times = { composer: [], empty: [] }
  for (let round = 0; round < 5; round++) {
    for (const [name, p] of [
      ['composer', page],
      ['empty', empty],
    ]) {
      await p.bringToFront()
      await p.evaluate(() => (window.presses = []))
      for (let i = 0; i < presses / 4; i++) {
        await p.keyboard.press(i % 2 ? '+' : '-')
        await p.waitForTimeout(60)
      }
      if (round > 0) times[name].push(...(await p.evaluate(() => window.presses)))
    }
  }
  const line = (name) => `${at(times[name], 0.5).toFixed(1)} ms (95 %: ${at(times[name], 0.95).toFixed(1)} ms)`
  console.log(`key press → painted, 60 stations × 6 groups:  ${line('composer')}, ${times.composer.length} presses`)
  console.log(`key press → painted, an empty page:           ${line('empty')}`)
  console.log(`composer ÷ empty page: ${(at(times.composer, 0.5) / at(times.empty, 0.5)).toFixed(2)}`)
  const rows = await page.locator('.row').count()
  const all = await page.getByRole('grid').getAttribute('aria-rowcount')
  console.log(
    `rows drawn: ${rows} of ${all}; elements in a lane: ${await page.locator('.strip').first().locator('svg *').count()}`,
  )
} finally {
  await close()
}
