import { readFileSync } from 'node:fs'
import { expect, it } from 'vitest'
import { checksPage } from './checksPage.ts'
import { sourcesPage } from './sourcesPage.ts'

it('docs/sources.md matches the tables (npm run sources renews it)', () => {
  expect(readFileSync('docs/sources.md', 'utf8')).toBe(sourcesPage())
})

it('docs/checks.md matches the rules and their limits (npm run checks renews it)', () => {
  expect(readFileSync('docs/checks.md', 'utf8')).toBe(checksPage())
})
