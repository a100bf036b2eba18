// The class book with forty pupils and sixty columns: from opening to the first row, from a key press to the painted change, and a paste of
// 2400 cells; each beside an idle page that does the least possible. All in one browser, turn by turn.
import { readFileSync } from 'node:fs'
import { openTeacherPage } from './teacherPage.mjs'
import { at } from './share.mjs'

const sixty = JSON.parse(readFileSync(new URL('sessions/sixty-stations.json', import.meta.url), 'utf8'))
/** Records results at this many stations, three laps each. */
const recorded = 20
let left = recorded
for (const block of sixty.sections.flatMap((s) => s.blocks)) {
  if (block.form !== 'intervals') continue
  for (const station of block.stations) if (left-- > 0) station.record = 'reps'
}

/** Waits for the frame that shows the last change and returns how long that took. */
const watch = () => {
  window.painted = (since) =>
    new Promise((resolve) =>
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel()
        port1.onmessage = () => resolve(performance.now() - since)
        port2.postMessage(0)
      }),
    )
  window.presses = []
  addEventListener('keydown', (event) => void window.painted(event.timeStamp).then((ms) => window.presses.push(ms)), {
    capture: true,
  })
}

const { page, context, url, close } = await openTeacherPage()
try {
  const made = await page.evaluate(async (document) => {
    const send = async (path, body) => {
      const answer = await fetch(path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      })
      return answer.json()
    }
    const { id: classId } = await send('/api/classes', { name: 'Forty', grades: [0] })
    await send(`/api/classes/${classId}/pupils`, { aliases: Array.from({ length: 40 }, (_, i) => `Kelp ${i + 1}`) })
    const { id } = await send('/api/workouts', { document })
    const { id: publication } = await send(`/api/workouts/${id}/publications`, { revision: 1, days: 7, classId })
    return { classId, publication }
  }, sixty)
  const book = `${url}/classes/${made.classId}?session=${made.publication}`

  const empty = await context.newPage()
  const emptyPage = `data:text/html,<p id=p>0</p><input id=i><script>addEventListener('keydown',()=>p.textContent=Math.random())</script>`
  const opening = { book: [], desk: [] }
  for (let round = 0; round < 6; round++) {
    for (const [name, address, ready] of [
      ['book', book, '[role=gridcell]'],
      ['desk', `${url}/settings`, 'form'],
    ]) {
      await page.goto(address)
      await page.locator(ready).first().waitFor()
      if (round > 0) opening[name].push(await page.evaluate(() => performance.now()))
    }
  }
  const line = (times) => `${at(times, 0.5).toFixed(1)} ms (95 %: ${at(times, 0.95).toFixed(1)} ms)`
  console.log(`opening → first row, 40 pupils × 60 columns:  ${line(opening.book)}`)
  console.log(`opening → first field of the settings:        ${line(opening.desk)}`)
  console.log(`book ÷ settings: ${(at(opening.book, 0.5) / at(opening.desk, 0.5)).toFixed(2)}`)

  await page.goto(book)
  await page.locator('#cell-0-0').click()
  await empty.goto(emptyPage)
  for (const p of [page, empty]) await p.evaluate(watch)
  const columns = Number(await page.getByRole('grid').getAttribute('aria-colcount')) - 1
  const times = { book: [], empty: [] }
  for (let round = 0; round < 5; round++) {
    for (const [name, p] of [
      ['book', page],
      ['empty', empty],
    ]) {
      await p.bringToFront()
      await p.evaluate(() => (window.presses = []))
      for (const key of ['1', '2', 'Tab', '7', 'Enter', 'ArrowUp', '9', 'Tab', '3', 'Enter']) {
        await p.keyboard.press(key)
        await p.waitForTimeout(50)
      }
      if (round > 0) times[name].push(...(await p.evaluate(() => window.presses)))
    }
  }
  console.log(`key press → painted, 40 × ${columns}:  ${line(times.book)}, ${times.book.length} presses`)
  console.log(`key press → painted, an idle page:  ${line(times.empty)}`)
  console.log(`book ÷ idle page: ${(at(times.book, 0.5) / at(times.empty, 0.5)).toFixed(2)}`)

  const paste = { book: [], empty: [] }
  for (let round = 0; round < 5; round++) {
    for (const [name, p, target] of [
      ['book', page, '#cell-0-0'],
      ['empty', empty, '#i'],
    ]) {
      await p.bringToFront()
      await p.locator(target).click()
      const ms = await p.evaluate(
        ([n, rows]) => {
          const row = (r) => Array.from({ length: rows }, (_, c) => 5 + ((r + c + n) % 9)).join('\t')
          const clipboardData = new DataTransfer()
          clipboardData.setData('text/plain', Array.from({ length: 40 }, (_, r) => row(r)).join('\n'))
          const since = performance.now()
          document.activeElement.dispatchEvent(
            new ClipboardEvent('paste', { clipboardData, bubbles: true, cancelable: true }),
          )
          return window.painted(since)
        },
        [round, columns],
      )
      if (round > 0) paste[name].push(ms)
    }
    await page.getByText('Saved', { exact: true }).waitFor({ timeout: 60_000 })
  }
  console.log(`paste of ${40 * columns} cells → painted:  ${line(paste.book)}`)
  console.log(`paste into an idle page → painted:  ${line(paste.empty)}`)
  console.log(`book ÷ idle page: ${(at(paste.book, 0.5) / at(paste.empty, 0.5)).toFixed(2)}`)
  const stored = await page.evaluate(
    async ({ classId, publication }) =>
      (await (await fetch(`/api/classes/${classId}/results/${publication}`)).json()).entries.length,
    made,
  )
  console.log(`stored after it: ${stored} values`)
} finally {
  await close()
}
