// From one frame to the next, in one browser, in turns: an empty page that moves one box; the list of exercises while it is scrolled; an
// exercise's page with all its versions moving.
import { openTeacherPage } from './teacherPage.mjs'
import { at } from './share.mjs'

const frames = 120

/** Milliseconds between frames; `scroll` scrolls the page by that many pixels per frame. */
const frameTimes = (page, scroll = 0) =>
  page.evaluate(
    ({ frames, scroll }) =>
      new Promise((resolve) => {
        const times = []
        let last
        const step = (now) => {
          if (last !== undefined) times.push(now - last)
          last = now
          const box = document.getElementById('box')
          if (box) box.style.transform = `translateX(${times.length}px)`
          if (scroll) window.scrollBy(0, scroll)
          if (times.length < frames) requestAnimationFrame(step)
          else resolve(times)
        }
        requestAnimationFrame(step)
      }),
    { frames, scroll },
  )

const { page, url, close } = await openTeacherPage()
try {
  const empty = async () => {
    await page.setContent('<div id="box" style="width:20px;height:20px;background:#000"></div>')
    return frameTimes(page)
  }
  const measured = { 'an empty page': [], 'the repertoire, scrolled': [], 'a move, five versions moving': [] }
  let cards = 0
  for (let turn = 0; turn < 3; turn++) {
    measured['an empty page'].push(...(await empty()))
    await page.goto(`${url}/moves`)
    await page.getByText(/^\d+ moves/).waitFor()
    await page.waitForTimeout(500)
    measured['the repertoire, scrolled'].push(...(await frameTimes(page, 40)))
    cards = await page.locator('a.move').count()
    await page.goto(`${url}/moves/toss-catch`)
    await page.getByRole('heading', { name: 'From easiest to hardest' }).waitFor()
    await page.waitForTimeout(500)
    measured['a move, five versions moving'].push(...(await frameTimes(page)))
  }
  const base = at(measured['an empty page'], 0.5)
  for (const [name, times] of Object.entries(measured)) {
    const [median, slow] = [at(times, 0.5), at(times, 0.95)]
    console.log(
      `${name}: frame ${median.toFixed(1)} ms (95 %: ${slow.toFixed(1)}), ÷ an empty page ${(median / base).toFixed(2)}`,
    )
  }
  console.log(`cards in the page: ${cards} of 194`)
} finally {
  await close()
}
