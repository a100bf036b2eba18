import { Info } from 'luxon'
import { createPinia, setActivePinia } from 'pinia'
import { flushPromises } from '@vue/test-utils'
import { afterAll, beforeAll, beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import { cellsFor } from '../../core/src/library/cellsFor.ts'
import {
  addBlock,
  forms,
  addStation,
  hasStations,
  testIds,
  newSettings,
  newSession,
  problemCodes,
  type Session,
} from '@esfuerzo/core'
import { notationOf, printBlockFor } from '@esfuerzo/core/notation'
import { newTerm } from '@esfuerzo/core/term'
import { useComposer } from './support/composer.ts'
import familyEn from '../src/family/locales/en.json'
import playerEn from '../src/player/locales/en.json'
import { formsEn } from '../src/forms/labels.en.ts'
import { createSentences } from '../src/shared/sentences.ts'
import { i18n, problemText } from '../src/words/i18n.ts'
import { library } from '../src/repertoire/library.ts'
import { wordsEn } from '../src/words/words.en.ts'
import { teacherWords } from '../src/words/words.ts'
import { open, serve } from './support/pages.ts'

/** Every sentence in a language that nobody speaks: text on a page outside the marks did not come from the words files. */
const pseudo = <T>(words: T): T => {
  if (typeof words === 'string')
    return words
      .split(' | ')
      .map((text) => `⟦${text}⟧`)
      .join(' | ') as T
  if (Array.isArray(words)) return words.map(pseudo) as T
  return Object.fromEntries(Object.entries(words as object).map(([key, value]) => [key, pseudo(value)])) as T
}

const english = { ...teacherWords.en }
beforeAll(() => {
  i18n.global.setLocaleMessage('en', pseudo(wordsEn.messages))
  Object.assign(teacherWords.en, {
    problems: { sentence: () => '⟦a mistake⟧', line: () => '⟦there⟧', whole: '⟦all of it⟧' },
  })
})
afterAll(() => {
  i18n.global.setLocaleMessage('en', wordsEn.messages)
  Object.assign(teacherWords.en, english)
})

/** The library's own texts, which have their own files; and what the test's teacher typed. */
const data = new Set<string>()
const collect = (value: unknown): void => {
  if (typeof value === 'string') data.add(value.trim())
  else if (value && typeof value === 'object') Object.values(value).forEach(collect)
}
for (const part of [library.moves, library.muscles, library.kit, library.measures])
  for (const one of part.values()) collect(one)

/** Texts and names on a page that are neither our words nor data. */
function untranslated(typed: readonly string[]): string[] {
  const own = new Set([...data, ...typed, 'Esfuerzo', ...Info.weekdays('long', { locale: 'en' }), 'Atlantic/Azores'])
  // Vuetify's own word, which has its own files for other languages.
  own.add('Clear')
  const found: string[] = []
  const look = (text: string | null) => {
    if (!text || own.has(text.trim())) return
    // From the inside out: a sentence may be inserted into another.
    let rest = text
    for (let before = ''; before !== rest;) {
      before = rest
      rest = rest.replace(/⟦[^⟦⟧]*⟧/g, '|')
    }
    for (const piece of rest.split(/[|·:,()“”"×+–…/]|\d+(?:\.\d+)?/)) {
      const plain = piece.trim()
      // Units and single letters are the same in every language we support.
      if (!/\p{L}{2}/u.test(plain) || ['min', 'kg', 'km'].includes(plain) || own.has(plain)) continue
      found.push(text.trim())
      return
    }
  }
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
  while (walker.nextNode()) {
    const { parentElement, textContent } = walker.currentNode
    if (!parentElement?.closest('style, script, textarea, kbd, .v-select__selection-text:empty')) look(textContent)
  }
  for (const element of document.body.querySelectorAll('[aria-label], [title], [placeholder], [alt]'))
    for (const name of ['aria-label', 'title', 'placeholder', 'alt']) look(element.getAttribute(name))
  return [...new Set(found)]
}

/** A session whose own words are not English, with a block of every form. */
function everyForm(): Session {
  const empty = newSession('Σίγμα', [[0, 1], [4]], 20, library.version)
  const bare: Session = {
    ...empty,
    groups: empty.groups.map((g) => ({ ...g, name: `Ομάδα ${g.letter}` })),
    sections: empty.sections.map((s) => ({ ...s, title: 'Μέρος', blocks: [] })),
  }
  return forms.reduce((now, form) => {
    const added = addBlock(now, now.sections[1]!.id, form)
    const block = added.sections[1]!.blocks.at(-1)!
    return hasStations(block)
      ? addStation(added, block.id, cellsFor(library.moves.get('squat')!, added.groups, form))
      : added
  }, bare)
}
/** Plus the whiteboard text of its blocks, which is a notation of its own. */
const typedIn = (session: Session) => [
  ...['Σίγμα', 'Μέρος', 'Ομάδα A', 'Ομάδα B'],
  ...session.sections.flatMap((s) => s.blocks).flatMap((b) => session.groups.map((g) => printBlockFor(b, g.id))),
]

let composer: ReturnType<typeof useComposer>
beforeEach(() => {
  setActivePinia(createPinia())
  composer = useComposer()
  composer.edit(everyForm)
})

const shown = async (component: Promise<{ default: Component }>, props: Record<string, unknown> = {}) => {
  const { view } = await open((await component).default, props)
  await flushPromises()
  const left = untranslated(typedIn(composer.document))
  expect(document.body.textContent).toMatch(/⟦/)
  view.unmount()
  return left
}

describe('every text comes from the words files', () => {
  it('and a planted one is found', async () => {
    document.body.innerHTML = '<p title="Close">⟦Ok ⟦good⟧⟧ Squat · 12:30</p><p>Left over</p>'
    expect(untranslated([])).toEqual(['Left over', 'Close'])
  })

  it('in the running order, the lanes, the exercise list', async () => {
    expect(await shown(import('../src/compose/order/RunningOrder.vue'))).toEqual([])
    expect(await shown(import('../src/compose/lanes/LanesPanel.vue'))).toEqual([])
    expect(await shown(import('../src/compose/panel/MoveShelf.vue'))).toEqual([])
  })

  it.each(forms.map((form) => [form] as const))('in the editor of a block: %s', async (form) => {
    const block = composer.document.sections[1]!.blocks.find((b) => b.form === form)!
    expect(await shown(import('../src/compose/panel/BlockEditor.vue'), { block, scope: 'all' })).toEqual([])
  })

  it('in the editors of a section and a station, and in the details', async () => {
    const section = composer.document.sections[1]!
    expect(await shown(import('../src/compose/panel/SectionEditor.vue'), { section })).toEqual([])
    for (const row of composer.rows.filter((r) => r.kind === 'station')) {
      composer.goTo(row.id)
      expect(await shown(import('../src/compose/panel/RowEditor.vue'))).toEqual([])
    }
    expect(await shown(import('../src/compose/details/DetailsDialog.vue'), { modelValue: true })).toEqual([])
  })

  it('on the Desk, in the settings, the exercises, the trash and at sign-in', async () => {
    vi.stubGlobal('matchMedia', () => ({ matches: false, addEventListener() {}, removeEventListener() {} }))
    serve({
      'GET /api/settings': () => newSettings('Atlantic/Azores'),
      'GET /api/workouts': () => ({ workouts: [] }),
      'GET /api/workouts/removed': () => ({ workouts: [] }),
      'GET /api/runs': () => ({ runs: [], total: 0, next: null }),
      'GET /api/moves': () => ({ moves: [], used: [] }),
      'GET /api/classes': () => ({ classes: [], removed: [] }),
      'GET /api/terms': () => ({ terms: [], removed: [] }),
    })
    for (const view of [
      import('../src/desk/DeskPage.vue'),
      import('../src/desk/BinPage.vue'),
      import('../src/classes/ClassesPage.vue'),
      import('../src/settings/SettingsPage.vue'),
      import('../src/moves/MovesPage.vue'),
      import('../src/measures/TestsPage.vue'),
      import('../src/term/TermsPage.vue'),
      import('../src/signin/SignInPage.vue'),
      import('../src/signin/SignUpPage.vue'),
      import('../src/signin/ForgottenPage.vue'),
    ])
      expect(await shown(view as Promise<{ default: Component }>)).toEqual([])
  })

  it('on the page of every test', async () => {
    for (const testId of testIds)
      expect([testId, await shown(import('../src/measures/TestPage.vue'), { testId })]).toEqual([testId, []])
  })

  it.each(['day', 'coverage', 'plan', 'calendar', 'details'] as const)('in a term: %s', async (tab) => {
    const id = '0b0c6d0e-4d5a-4a6f-9d6e-2f2b1c0a9e8d'
    const places = [{ id: 'd1', date: '2027-01-05', session: id, title: 'Σίγμα' }]
    const document = { ...newTerm('Σίγμα', '2027-01-04'), places }
    serve({
      'GET /api/settings': () => newSettings('Atlantic/Azores'),
      'GET /api/workouts': () => ({ workouts: [] }),
      'GET /api/moves': () => ({ moves: [], used: [] }),
      'GET /api/classes': () => ({ classes: [], removed: [] }),
      [`GET /api/terms/${id}`]: () => ({ id, revision: 1, updatedAt: '2027-01-01T00:00:00.000Z', document }),
      [`GET /api/terms/${id}/done`]: () => ({ done: [], children: null }),
      [`GET /api/terms/${id}/link`]: () => ({ link: null }),
      [`GET /api/terms/${id}/links`]: () => ({ links: [] }),
    })
    const { press, view } = await open((await import('../src/term/TermPage.vue')).default, { id })
    await flushPromises()
    await press(`⟦${wordsEn.messages.term.tab[tab]}⟧`)
    await flushPromises()
    const months = [...Info.months('long', { locale: 'en' }), ...Info.months('short', { locale: 'en' })]
    const keys = ['Ctrl Z', 'Ctrl Shift Z', 'Del', 'P', 'F']
    expect(untranslated(['Σίγμα', ...months, ...keys])).toEqual([])
    view.unmount()
  })

  it('in a problem', () => {
    for (const code of problemCodes) expect(problemText({ code, path: [] })).toBe('⟦all of it⟧: ⟦a mistake⟧')
  })
})

it('every fact of every form has a label, every choice one of its own, and there are no unused labels', () => {
  for (const form of forms) {
    const { facts } = notationOf(form)
    const { facts: labels, choices = {} } = formsEn[form]
    expect(Object.keys(labels).sort(), form).toEqual(facts.map((f) => f.id).sort())
    const chosen = facts.flatMap((f) => (f.field?.kind === 'choice' ? [[f.id, f.field.choices] as const] : []))
    expect(Object.keys(choices).sort(), form).toEqual(chosen.map(([id]) => id).sort())
    for (const [id, values] of chosen)
      expect(Object.keys(choices[id]!).sort()).toEqual(values.map((v) => v || 'none').sort())
  }
})

it('has a word for every key a teacher’s page asks for by name', () => {
  const sources = import.meta.glob<string>('../src/**/*.{vue,ts}', { query: '?raw', import: 'default', eager: true })
  const families = ['../src/family/', '../src/player/']
  const asked = Object.entries(sources)
    .filter(([file]) => !families.some((folder) => file.startsWith(folder)))
    .flatMap(([, text]) => [...text.matchAll(/(?<![\w.])t\(\s*'([A-Za-z][\w.]*)'/g)].map((found) => found[1]!))
  expect(asked.length).toBeGreaterThan(500)
  const family = createSentences('en', { ...familyEn, ...playerEn })
  expect([...new Set(asked)].filter((key) => !i18n.global.te(key) && family.t(key) === key)).toEqual([])
})
