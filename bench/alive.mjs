// The page stays alive: the longest task of its main thread while sixteen stations are arranged, ten thousand children a lane
// simulated, moves suggested, sessions drafted and a term planned, beside the same page idle, in one browser.
import { openTeacherPage } from './teacherPage.mjs'

const moves = ['squat', 'plank', 'jumping jack', 'push-up', 'high knees', 'curl-up', 'lunge', 'hip bridge']
const more = [
  'skater step',
  'crab walk',
  'march on the spot',
  'calf raise',
  'mountain climber',
  'star jump',
  'side bend',
]
const text = [
  '# Sixteen',
  'minutes 20; groups K-1, 2-3, 4-6',
  '## Main part',
  '3 laps 30/30',
  ...moves,
  ...more,
  'arm circles',
]
  .concat(['## Game', 'coin, 20 flips', 'heads: squat 10', 'tails: lunge 8'])
  .join('\n')

/** The longest task, in milliseconds, and how often a frame came, while something is done. */
const watch = (page) =>
  page.evaluate(() => {
    window.longest = 0
    window.frames = 0
    window.watching = true
    let last = performance.now()
    const step = () => {
      if (!window.watching) return
      window.frames++
      requestAnimationFrame(step)
    }
    requestAnimationFrame(step)
    // A turn of the event loop as often as it comes: what lies between two is a task.
    const { port1, port2 } = new MessageChannel()
    port1.onmessage = () => {
      const now = performance.now()
      window.longest = Math.max(window.longest, now - last)
      last = now
      if (window.watching) port2.postMessage(0)
    }
    port2.postMessage(0)
  })
const seen = (page) =>
  page.evaluate(() => {
    window.watching = false
    return window.longest
  })

const { page, close } = await openTeacherPage()
try {
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  await page.getByLabel('What is it called?').fill('Sixteen')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.getByRole('tab', { name: 'Text' }).click()
  await page.getByRole('textbox', { name: /whiteboard/i }).fill(text)
  await page.getByText('saved', { exact: true }).waitFor()

  const idle = []
  const busy = { arrange: [], finish: [], suggest: [], draft: [], plan: [] }
  for (let turn = 0; turn < 5; turn++) {
    await page.waitForTimeout(500)
    await watch(page)
    await page.waitForTimeout(2000)
    idle.push(await seen(page))
    for (const [name, button, done] of [
      [
        'arrange',
        page.getByRole('button', { name: /Arrange the stations/ }).first(),
        page.getByRole('button', { name: 'Take this order' }),
      ],
      [
        'finish',
        page.getByRole('button', { name: 'Will everybody finish?' }),
        page.getByText('Ten thousand children a lane'),
      ],
    ]) {
      await watch(page)
      await button.click()
      await done.waitFor({ timeout: 20_000 })
      busy[name].push(await seen(page))
      await page.getByRole('button', { name: 'Close' }).click()
    }
    // Moves suggested for the block, then three drafts on a page of their own.
    await page
      .getByRole('gridcell', { name: /^Main part/ })
      .first()
      .click()
    await page.getByRole('tab', { name: 'Edit' }).click()
    await watch(page)
    await page.getByRole('button', { name: 'Fill it for me' }).click()
    await page.getByRole('button', { name: /^Take all/ }).waitFor({ timeout: 20_000 })
    busy.suggest.push(await seen(page))
    await page.getByRole('button', { name: 'Close' }).click()
    await page.getByRole('tab', { name: 'Text' }).click()
  }
  await page.goto(new URL('/draft', page.url()).href)
  const third = page.getByRole('button', { name: /^Take “/ }).nth(2)
  for (let turn = 0; turn < 5; turn++) {
    await third.waitFor({ timeout: 60_000 })
    await page.waitForTimeout(1000)
    await watch(page)
    await page.getByRole('button', { name: 'Draft three' }).click()
    await third.waitFor({ state: 'detached' }).catch(() => {})
    await third.waitFor({ timeout: 60_000 })
    busy.draft.push(await seen(page))
  }
  // A term of twelve weeks from a dozen sessions.
  await page.goto(new URL('/terms', page.url()).href)
  await page.getByRole('button', { name: 'New term' }).first().click()
  await page.getByRole('textbox', { name: 'Name' }).fill('Measured')
  await page.getByRole('button', { name: 'Make it' }).click()
  await page.getByRole('button', { name: 'Plan it for me' }).click()
  const boxes = page.getByRole('tabpanel').locator('details').first().getByRole('checkbox')
  for (let i = 0; i < 12; i++) await boxes.nth(i).check()
  const plan = page.getByRole('button', { name: 'Plan it', exact: true })
  for (let turn = 0; turn < 5; turn++) {
    await plan.and(page.locator(':enabled')).waitFor()
    await page.waitForTimeout(1000)
    await watch(page)
    await plan.click()
    await page.getByRole('button', { name: 'Take this plan' }).waitFor({ timeout: 20_000 })
    busy.plan.push(await seen(page))
  }
  const median = (list) => [...list].sort((a, b) => a - b)[Math.floor(list.length / 2)]
  console.log(`longest task of an idle page: ${median(idle).toFixed(1)} ms`)
  for (const [name, list] of Object.entries(busy))
    console.log(
      `longest task, ${name}: ${median(list).toFixed(1)} ms, ÷ idle ${(median(list) / median(idle)).toFixed(1)}  (opening the panel and drawing its answer are in it)`,
    )
} finally {
  await close()
}
