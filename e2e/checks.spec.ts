// Empty Desk: these journeys need nothing of the demo.
import { addSection, mapGroups, setBlock, setCell, setDetails, stationsOf, type Session } from '@esfuerzo/core'
import type { Page } from '@playwright/test'
import { at, beginFromText, expect, expectAccessible, openDesk, test } from './support/journey.ts'
import { withInterface } from './support/links.ts'

/** A session a teacher would recommend, for a home with neighbors below, done with somebody. */
const text = `# Family harbour
minutes 17; groups K-1, 2-3, 4-6; space mat; quiet; with somebody; aim muscular endurance
target: We are learning to keep the same form from first to last.

## Warm-up
march on the spot 60 s
arm circles 6
knee hugs 8
wide squat 6

## Harbour (main)
3 laps 30/20 [K-1: 20/30] [2-3: 25/25], lap rest 45 s
squat
push-up
step jack
plank

## Cool-down
hold 15 s [K-1: 10 s] [2-3: 10 s]
quad stretch
cross-body stretch
slow breaths 4 breaths
`

/** The same with one lap more, a jump for kindergarten upstairs, a cold test and a door to climb. */
function spoilt(session: Session): Session {
  const [warmUp, main] = session.sections
  const block = main!.blocks[0]!
  const [squat] = stationsOf(block)
  const [, circles] = stationsOf(warmUp!.blocks[0]!)
  const [young, , old] = session.groups.map((g) => g.id)
  const lapMore = setBlock(session, block.id, 'intervals', (b) => ({
    ...b,
    laps: mapGroups(b.laps, 'all', (laps) => [...laps, laps[0]!]),
  }))
  const jump = setCell(lapMore, squat!.id, [young!], () => ({ move: 'squat-jump', version: 'tuck-jump' }))
  const door = setCell(jump, circles!.id, [old!], () => ({
    move: 'wall-walk',
    version: 'wall-plank',
    dose: { unit: 'seconds', amount: 10 },
  }))
  const test = addSection(door, { role: 'test', title: 'How long', form: 'measure' }, null)
  const cold = setBlock(test, test.sections[0]!.blocks[0]!.id, 'measure', (b) => ({ ...b, test: 'sitToStands30' }))
  return setDetails(cold, { home: { standIns: { wall: 'closed door' } } })
}

const look = (page: Page) => page.getByRole('tabpanel', { name: /^Checks/ })
/** Findings with the weight *fix* or *advice*. */
const asks = (page: Page) =>
  look(page)
    .getByRole('listitem')
    .filter({ has: page.getByRole('img', { name: /^(fix before sending|advice)$/ }) })

/** The good session, from its text. */
async function good(page: Page): Promise<Session> {
  await openDesk(page)
  await beginFromText(page, text)
  await expect(page.getByRole('heading', { name: 'Family harbour' })).toBeVisible()
  const id = new URL(page.url()).pathname.split('/').at(-1)
  return withInterface(async (api) => (await (await api.get(`/api/workouts/${id}`)).json()).document)
}

/** Stores a session and opens its checks. */
async function open(page: Page, document: Session): Promise<string> {
  const { id } = await withInterface(async (api) => (await api.post('/api/workouts', { data: { document } })).json())
  await page.goto(at(`/sessions/${id}?panel=look`))
  await expect(page.getByRole('heading', { name: 'Family harbour' })).toBeVisible()
  return id as string
}

test('@verify a good session has no findings; spoiled, each one says where and why, is fixed by one click, and it is sent home', async ({
  page,
}) => {
  const document = await good(page)
  await open(page, document)
  await expect(look(page).getByText('All checks are fine. You can send it home.')).toBeVisible()

  const id = await open(page, spoilt(document))
  for (const words of [
    'closed door can’t replace free wall for Feet at the wall.',
    'over the planned 17 minutes.',
    'Neighbors below will hear Tuck jump.',
    'Tuck jump is for grade 4 and up.',
    'The test comes after 0:00 of moving.',
  ])
    await expect(asks(page).filter({ hasText: words })).toHaveCount(1)
  await expectAccessible(page)
  // The row and the lane have a sign, recognizable by its shape and in words.
  await expect(
    page
      .getByRole('row')
      .filter({ hasText: 'Squat' })
      .getByLabel(/will hear/),
  ).toBeVisible()
  await expect(page.getByRole('img', { name: /to review in this lane$/ }).first()).toBeVisible()

  // A stop holds it back.
  await page.goto(at(`/sessions/${id}/handout`))
  await expect(page.getByText('2 checks must be fixed before you send it.', { exact: false })).toBeVisible()
  await expect(page.getByRole('button', { name: 'Create link' })).toBeDisabled()
  await page.getByRole('link', { name: 'Open checks' }).click()

  await expect(asks(page).first()).toBeVisible()
  let clicks = 0
  for (let left = await settled(page); left > 0; left = await settled(page)) {
    expect(++clicks).toBeLessThanOrEqual(9)
    await asks(page).first().locator('.fixes').getByRole('button').first().click()
    await expect(asks(page)).not.toHaveCount(left)
  }
  expect(clicks).toBeGreaterThanOrEqual(4)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.getByRole('button', { name: 'Send home' }).click()
  await expect(page.getByRole('button', { name: 'Create link' })).toBeEnabled()
  await expect(page.getByText('fix before sending', { exact: false })).toHaveCount(0)
  await expect(page.getByText('will hear', { exact: false })).toHaveCount(0)
  await page.getByRole('button', { name: 'Create link' }).click()
  await expect(page.getByRole('link', { name: /\/go\// })).toBeVisible()
})

/** How many findings there are, once each has its fixes. */
async function settled(page: Page): Promise<number> {
  await page.waitForTimeout(700)
  const all = asks(page)
  for (const one of await all.all()) await expect(one.locator('.fixes')).toBeVisible()
  return all.count()
}

test('@verify an ignored finding keeps her reason, and can be reopened; all by keyboard', async ({ page }) => {
  await open(page, setDetails(await good(page), { minutes: 9 }))
  const over = asks(page).filter({ hasText: 'over the planned 9 minutes' })
  await expect(over).toHaveCount(1)
  await over.getByRole('button', { name: 'Ignore' }).focus()
  await page.keyboard.press('Enter')
  await expect(look(page).getByRole('textbox', { name: 'Reason (optional)' })).toBeFocused()
  await page.keyboard.type('the hall is ours till noon')
  await page.keyboard.press('Enter')
  await expect(over).toHaveCount(0)
  await expect(page.getByText('saved', { exact: true })).toBeVisible()

  await page.reload()
  await look(page).getByText('Ignored (1)').click()
  await expect(look(page).getByText('You ignored it: the hall is ours till noon')).toBeVisible()
  await look(page).getByRole('button', { name: 'Check again' }).click()
  await expect(over).toHaveCount(1)
})
