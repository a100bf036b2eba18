import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { defineComponent, h } from 'vue'
import { createI18n } from 'vue-i18n'
import { createSentences, formOf, useSentences, type Messages } from '../src/shared/sentences.ts'
import familyEn from '../src/family/locales/en.json'
import familyEs from '../src/family/locales/es.json'
import playerEn from '../src/player/locales/en.json'
import playerEs from '../src/player/locales/es.json'

const keysOf = (messages: Messages, before = ''): string[] =>
  Object.entries(messages).flatMap(([key, value]) =>
    typeof value === 'string' ? [before + key] : keysOf(value, `${before}${key}.`),
  )
const all = { en: { ...familyEn, ...playerEn }, es: { ...familyEs, ...playerEs } }

it('gives every sentence of the family’s pages as the Vue word package does, in both languages', () => {
  const params = { name: 'Gull', n: 7, of: 9, target: '{ braces }', list: 'a | b', date: 'today', time: '3:20' }
  for (const language of ['en', 'es'] as const) {
    const i18n = createI18n({ legacy: false, locale: language, fallbackLocale: 'en', messages: all })
    const ours = createSentences('en', all.en)
    ours.add('es', all.es)
    ours.locale.value = language
    const keys = keysOf(all.en)
    expect(keys.length).toBeGreaterThan(200)
    for (const key of keys) {
      for (const n of [0, 1, 2, 5]) {
        const told = i18n.global.t(key, { ...params, n }, n)
        // A missing value is left open there as here, only with other marks.
        expect(ours.t(key, { ...params, n }, n).replace(/\{\w+\}/g, ''), key).toBe(told)
      }
    }
  }
})

it('chooses the form for a number, falls back on the first language, and then on the key', () => {
  expect([0, 1, 2].map((n) => formOf('none | one | many', n))).toEqual(['none', 'one', 'many'])
  expect([0, 1, 2].map((n) => formOf('one | many', n))).toEqual(['many', 'one', 'many'])
  const words = createSentences('en', { a: { b: 'B {n}' } })
  words.add('es', { a: {} })
  words.locale.value = 'es'
  expect(words.t('a.b', { n: 3 })).toBe('B 3')
  expect(words.t('a.b')).toBe('B {n}')
  expect(words.t('a.missing')).toBe('a.missing')
  expect(words.t('toString')).toBe('toString')
  expect(words.has('fr')).toBe(false)
})

it('is available to every component of its pages, and reported as missing elsewhere', () => {
  const Said = defineComponent({
    setup() {
      const { t } = useSentences()
      return () => h('p', t('hello', { name: 'Gull' }))
    },
  })
  const words = createSentences('en', { hello: 'Hello {name}' })
  expect(mount(Said, { global: { plugins: [words] } }).text()).toBe('Hello Gull')
  expect(() => mount(Said)).toThrow('given no sentences')
})
