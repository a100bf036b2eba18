import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { newSettings, ProblemError, type Session } from '@esfuerzo/core'
import { forgetTeacher } from '../src/account/forgetTeacher.ts'
import DeskPage from '../src/desk/DeskPage.vue'
import { readPlanFile } from '../src/workers/plans.ts'
import { usePlans } from '../src/reading/usePlans.ts'
import { open, serve, type Opened } from './support/pages.ts'

let made: { document: Session; original: string }[] = []
beforeEach(() => {
  setActivePinia(createPinia())
  made = []
  serve({
    'GET /api/settings': () => newSettings('Atlantic/Azores'),
    'GET /api/workouts': () => ({ workouts: [] }),
    'GET /api/runs': () => ({ runs: [], total: 0, next: null }),
    'GET /api/classes': () => ({ classes: [], removed: [] }),
    'GET /api/terms': () => ({ terms: [], removed: [] }),
    'POST /api/workouts': (body) => {
      made.push(body as (typeof made)[number])
      return { id: '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d', revision: 1, updatedAt: '2027-01-01T00:00:00.000Z' }
    },
  })
})
let view: Opened['view'] | undefined
afterEach(() => view?.unmount())

const desk = async (): Promise<Opened> => {
  const page = await open(DeskPage)
  view = page.view
  await flushPromises()
  return page
}
/** Files dropped onto the page. */
async function drop(...files: File[]) {
  const event = new Event('drop', { bubbles: true, cancelable: true })
  const transfer = { files, types: ['Files'], items: files.map((file) => ({ kind: 'file', type: file.type })) }
  document.body.dispatchEvent(Object.assign(event, { dataTransfer: transfer }))
  await flushPromises()
}
const text = (name: string, content: string) => new File([content], name)

describe('imported plans on the Desk', () => {
  it('are listed with what was read and what was not; one becomes a session, the others wait', async () => {
    const page = await desk()
    await drop(
      text(
        'two.html',
        '<h1>Monday</h1><p>Squats x10<p>Plank 20 s<h1>Friday</h1><p>Lunges x8<p>Zonkers x3<img alt="pier">',
      ),
      text('reps.csv', 'Exercise;Reps\nSquats;10\nLunges;8\n'),
      text('old.rtf', '{\\rtf1 Squats}'),
    )
    await vi.waitFor(() => expect(page.words()).toContain("Esfuerzo can't open .rtf files"), { timeout: 10_000 })
    expect(page.words()).toMatch(/two\.html\s*2 sessions/)
    expect(page.words()).toContain("We can't read pictures: pier.")
    expect(page.words()).toContain('2 rows · 1 question')
    await page.press('Review Monday of two.html')
    await vi.waitFor(() => expect(document.querySelector('textarea')!.value).toBe('# Monday\nSquats x10\nPlank 20 s\n'))
    await page.press('Create session')
    await vi.waitFor(() => expect(page.router.currentRoute.value.name).toBe('compose'))
    expect(made).toHaveLength(1)
    expect(made[0]!.document.title).toBe('Monday')
    // Its origin: the file's name, and what was read of it.
    expect(made[0]!.original).toBe('two.html\n\n# Monday\nSquats x10\nPlank 20 s\n')
    view!.unmount()
    const again = await desk()
    expect(again.words()).toContain('2 imported plans are waiting')
    await again.press('Show plans')
    expect(again.words()).toContain('Created “Monday”')
    await again.press('Remove reps.csv')
    expect(usePlans().files.map((f) => f.name)).toEqual(['two.html', 'old.rtf'])
  })

  it('with one session open at once', async () => {
    const page = await desk()
    await drop(text('reps.csv', 'Exercise;Reps\nSquats;10\nLunges;8\n'))
    await vi.waitFor(() => expect(document.querySelector('textarea')?.value).toContain('| Squats | 10 |'), {
      timeout: 10_000,
    })
    expect(page.words()).toContain('reps.csv')
  })

  it('a failed worker’s file is reported, and the next is read', async () => {
    vi.mocked(readPlanFile).mockRejectedValueOnce(new ProblemError([{ code: 'file-slow', path: ['endless.pdf'] }]))
    const page = await desk()
    await drop(text('endless.pdf', '%PDF-1.4'), text('b.txt', 'Squats x10\nLunges x8'))
    await vi.waitFor(() => expect(page.words()).toContain('2 rows'), { timeout: 10_000 })
    expect(page.words()).toContain('The file took too long to read. Copy its text and paste it')
  })

  it('a table from the clipboard keeps its columns', async () => {
    await desk()
    const event = new Event('paste', { bubbles: true })
    const data: Record<string, string> = {
      'text/plain': 'Squats\n10\nLunges\n8',
      'text/html': '<table><tr><th>Exercise<th>K-1<th>2-3<tr><td>Squats<td>8<td>10<tr><td>Lunges<td>6<td>8</table>',
    }
    document.body.dispatchEvent(
      Object.assign(event, { clipboardData: { getData: (type: string) => data[type] ?? '' } }),
    )
    await vi.waitFor(() => expect(document.querySelector('textarea')?.value).toContain('| Squats | 8 | 10 |'), {
      timeout: 10_000,
    })
  })

  it('twenty-five files are all read, and the next teacher to sign in sees none of them', async () => {
    const page = await desk()
    await drop(...Array.from({ length: 25 }, (_, i) => text(`plan ${i}.txt`, `Squats x${i + 1}\nPlank 20 s`)))
    await vi.waitFor(() => expect(page.words().match(/2 rows/g)).toHaveLength(25), { timeout: 15_000 })
    forgetTeacher()
    await flushPromises()
    expect(usePlans().files).toEqual([])
    expect(page.words()).not.toContain('imported plans are waiting')
  })
})
