import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, expect, it } from 'vitest'
import guide from '../../docs/guide.md?raw'
import { readGuide } from '../src/shell/guide.ts'
import HelpPanel from '../src/shell/HelpPanel.vue'
import { router } from '../src/shell/router.ts'
import { open } from './support/pages.ts'

const tasks = readGuide(guide)

beforeEach(() => setActivePinia(createPinia()))

it('the guide has a task for every view of a signed-in teacher, and names no other', () => {
  const views = router.getRoutes().filter((route) => !route.meta.open && route.name !== 'lost')
  const helped = new Set(tasks.flatMap((task) => task.views))
  expect(helped).toEqual(new Set(views.map((view) => view.name)))
  for (const { title, html } of tasks) expect(html, title).toMatch(/^\s*<ol>[\s\S]*<li>/)
})

it('every view has a title for the browser’s tab', () => {
  for (const route of router.getRoutes()) expect(route.meta.title, String(route.name)).toBeTruthy()
})

it('shows the tasks of the view first and closes with Escape', async () => {
  let closed = 0
  await open(HelpPanel, { view: 'draft', onClose: () => closed++ })
  expect([...document.querySelectorAll('section h3')].map((h) => h.textContent)).toEqual(['Get a draft'])
  expect(document.querySelectorAll('details')).toHaveLength(tasks.length - 1)
  expect(document.activeElement?.textContent).toBe('Help')
  document.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }))
  expect(closed).toBe(1)
})
