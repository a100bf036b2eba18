// Does the page stay responsive? Measures the longest main-thread task while sixteen stations are arranged, ten thousand children per lane
// are simulated, exercises are suggested, sessions drafted and a term planned, beside the same page idle, in one browser.
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

const { page, close } = await openTeacherPage()
const cdp = await page.context().newCDPSession(page)

/**
 * The longest main-thread task while something runs, in milliseconds: wall time, and the core's own processor time. On a shared machine a
 * task that has to wait is long in wall time and short in processor time.
 */
async function longest(what) {
  const events = []
  const collect = ({ value }) => events.push(...value)
  cdp.on('Tracing.dataCollected', collect)
  await cdp.send('Tracing.start', {
    transferMode: 'ReportEvents',
    traceConfig: { includedCategories: ['toplevel', 'disabled-by-default-devtools.timeline'] },
  })
  await what()
  const complete = new Promise((resolve) => cdp.once('Tracing.tracingComplete', resolve))
  await cdp.send('Tracing.end')
  await complete
  cdp.off('Tracing.dataCollected', collect)
  const threadOf = ({ pid, tid }) => `${pid} ${tid}`
  const mains = new Set(
    events.filter((e) => e.name === 'thread_name' && e.args.name === 'CrRendererMain').map(threadOf),
  )
  const tasks = events.filter((e) => e.name.endsWith('RunTask') && e.tdur !== undefined && mains.has(threadOf(e)))
  if (!tasks.length) throw new Error('The browser told of no task of the main thread.')
  return {
    own: Math.max(...tasks.map((e) => e.tdur)) / 1000,
    clock: Math.max(...tasks.map((e) => e.dur)) / 1000,
  }
}

try {
  await page.getByRole('button', { name: 'New session', exact: true }).first().click()
  await page.getByLabel('What is it called?').fill('Sixteen')
  await page.getByRole('button', { name: 'Start', exact: true }).click()
  await page.getByRole('tab', { name: 'Text' }).click()
  await page.getByRole('textbox', { name: /whiteboard/i }).fill(text)
  await page.getByText('saved', { exact: true }).waitFor()

  const idle = []
  const busy = { arrange: [], finish: [], suggest: [], 'suggest, the panel open': [], draft: [], plan: [] }
  for (let turn = 0; turn < 5; turn++) {
    await page.waitForTimeout(500)
    idle.push(await longest(() => page.waitForTimeout(2000)))
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
      const asked = async () => {
        await button.click()
        await done.waitFor({ timeout: 20_000 })
      }
      busy[name].push(await longest(asked))
      await page.getByRole('button', { name: 'Close' }).click()
    }
    // Suggests exercises for the block, then makes three drafts on a page of their own.
    await page
      .getByRole('gridcell', { name: /^Main part/ })
      .first()
      .click()
    await page.getByRole('tab', { name: 'Edit' }).click()
    const suggested = async () => {
      await page.getByRole('button', { name: 'Fill it for me' }).click()
      await page.getByRole('button', { name: /^Take all/ }).waitFor({ timeout: 20_000 })
    }
    busy.suggest.push(await longest(suggested))
    // The same work with another seed, without opening the panel first.
    const again = async () => {
      await page.getByLabel('How many').fill('6')
      await page.getByRole('button', { name: 'Take all 6' }).waitFor({ timeout: 20_000 })
    }
    busy['suggest, the panel open'].push(await longest(again))
    await page.getByRole('button', { name: 'Close' }).click()
    await page.getByRole('tab', { name: 'Text' }).click()
  }
  await page.goto(new URL('/draft', page.url()).href)
  const third = page.getByRole('button', { name: /^Take “/ }).nth(2)
  for (let turn = 0; turn < 5; turn++) {
    await third.waitFor({ timeout: 60_000 })
    await page.waitForTimeout(1000)
    const drafted = async () => {
      await page.getByRole('button', { name: 'Draft three' }).click()
      await third.waitFor({ state: 'detached' }).catch(() => {})
      await third.waitFor({ timeout: 60_000 })
    }
    busy.draft.push(await longest(drafted))
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
    const planned = async () => {
      await plan.click()
      await page.getByRole('button', { name: 'Take this plan' }).waitFor({ timeout: 20_000 })
    }
    busy.plan.push(await longest(planned))
  }
  const median = (list, key) => list.map((l) => l[key]).sort((a, b) => a - b)[Math.floor(list.length / 2)]
  const frame = 1000 / 60
  console.log(
    `longest task of an idle page: ${median(idle, 'own').toFixed(1)} ms (by the clock ${median(idle, 'clock').toFixed(1)})`,
  )
  for (const [name, list] of Object.entries(busy))
    console.log(
      `longest task, ${name}: ${median(list, 'own').toFixed(1)} ms, ÷ (idle + one frame) ${(median(list, 'own') / (median(idle, 'own') + frame)).toFixed(2)} (by the clock ${median(list, 'clock').toFixed(1)})`,
    )
} finally {
  await close()
}
