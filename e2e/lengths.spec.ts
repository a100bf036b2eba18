// Empty Desk: these journeys need nothing of the demo.
import type { Page } from '@playwright/test'
import { newTerm } from '@esfuerzo/core/term'
import { at, beginFromText, expect, laneTotal, openDesk, test } from './support/journey.ts'
import { pdfTexts } from './support/pdf.ts'

test.describe.configure({ timeout: 180_000 })

// Planned for forty minutes, which neither lane takes; two lanes that differ by minutes.
const plan = `# Two lengths
minutes 40; groups K-1, 4-6; space mat
## Warm-up
march on the spot 2 min
## Rounds (main)
4 rounds, rest 30 s
squat 20 s [4-6: 40 s]
plank 15 s [4-6: 30 s]
## Cool-down
slow breaths 4 breaths`

/** Whole minutes of a total as the composer shows it. */
const minutesOf = (total: string): number => {
  const [minutes = 0, seconds = 0] = total.split(':').map(Number)
  return Math.round((minutes * 60 + seconds) / 60)
}

async function send<T>(page: Page, path: string, data: object): Promise<T> {
  const answer = await page.request.post(at(path), { headers: { origin: at('') }, data })
  expect(answer.status(), await answer.text()).toBe(200)
  return (await answer.json()) as T
}

/** How long the only event of a calendar is. */
async function eventMinutes(page: Page, path: string): Promise<number> {
  const text = await (await page.request.get(at(path))).text()
  const moment = (name: string) => {
    const [, y, mo, d, h, mi, s] = new RegExp(`${name}:(\\d{4})(\\d\\d)(\\d\\d)T(\\d\\d)(\\d\\d)(\\d\\d)Z`).exec(text)!
    return Date.UTC(Number(y), Number(mo) - 1, Number(d), Number(h), Number(mi), Number(s))
  }
  return (moment('DTEND') - moment('DTSTART')) / 60_000
}

/** The text of the message to families, once it is written. */
async function messageText(page: Page, id: string): Promise<string> {
  await page.goto(at(`/sessions/${id}/handout`))
  const message = page.getByLabel('Message')
  await expect(message).toHaveValue(/It takes/)
  return message.inputValue()
}

test('@verify a session’s length for a group is the same wherever it is shown', async ({ page }) => {
  await openDesk(page)
  await beginFromText(page, plan)
  await page.waitForURL(/\/sessions\//)
  const id = /[\da-f-]{36}/.exec(page.url())![0]

  // In the composer: what is predicted, lane by lane.
  await expect(page.getByTestId('save-mark')).toHaveText('saved')
  await expect(laneTotal(page, 'B')).toHaveText(/\d+:\d\d/)
  const [small, big] = [
    minutesOf(await laneTotal(page, 'A').innerText()),
    minutesOf(await laneTotal(page, 'B').innerText()),
  ]
  expect(big).toBeGreaterThan(small + 1)
  expect(big).toBeLessThan(30)

  // On paper.
  for (const [lane, minutes] of [
    ['g1', small],
    ['g2', big],
  ] as const) {
    const sheet = await page.request.get(at(`/api/workouts/${id}/sheets/session?lanes=${lane}&language=en&paper=a4`))
    expect((await pdfTexts(await sheet.body())).join(' ')).toContain(`about ${minutes} min`)
  }

  // For everybody: the message says both, a calendar keeps the longer one free, the front page shows each.
  const all = await send<{ id: string; token: string }>(page, `/api/workouts/${id}/publications`, {
    revision: 1,
    days: 7,
  })
  expect(await messageText(page, id)).toContain(`about ${small} minutes (K–1), about ${big} minutes (4–6)`)
  expect(await eventMinutes(page, `/api/publications/${all.id}/calendar?days=2027-01-12&at=09:00`)).toBe(big)
  await page.goto(at(`/go/${all.token}`))
  const shown = await page.locator('button.lane .num').allInnerTexts()
  expect(shown.map(minutesOf)).toEqual([small, big])

  // For a class: its own lane, in the message, in both calendars, in its term.
  const { id: classId } = await send<{ id: string }>(page, '/api/classes', { name: 'Lengths', grades: [1] })
  const own = await send<{ id: string }>(page, `/api/workouts/${id}/publications`, { revision: 1, days: 7, classId })
  expect(await messageText(page, id)).toContain(`It takes about ${small} minutes.`)
  expect(await eventMinutes(page, `/api/publications/${own.id}/calendar?days=2027-01-12&at=09:00`)).toBe(small)
  const term = {
    ...newTerm('Lengths', '2027-01-04'),
    weeks: 1,
    class: classId,
    places: [{ id: 'p1', date: '2027-01-05', session: id }],
  }
  const { id: termId } = await send<{ id: string }>(page, '/api/terms', { document: term })
  expect(await eventMinutes(page, `/api/terms/${termId}/calendar`)).toBe(small)
  await page.goto(at(`/term/${termId}`))
  await expect(page.locator('td.facts').first()).toContainText(`${small} min`)
})
